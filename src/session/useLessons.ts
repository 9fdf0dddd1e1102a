import { useMemo, useState } from 'react';
import type { Issue } from '../core/issues';
import { lessonText, readLesson } from '../files/lessonText';
import type { Lesson } from '../records/lesson';
import { LESSONS } from '../words/lessons';
import type { Notes } from './notes';
import { useWorkshop } from './workshop';

const KEY = 'jorrit.lesson.';

const kept = (notes: Notes): readonly Lesson[] =>
  notes.keys().flatMap(key => {
    const text = key.startsWith(KEY) ? notes.get(key) : null;
    const read = text === null ? null : readLesson(new TextEncoder().encode(text));
    return read?.ok ? [read.value] : [];
  });

/** Lessons that are there from the start, and those that were opened from files; one of the same id takes the place of the other. */
export const useLessons = () => {
  const { notes } = useWorkshop();
  const [own, setOwn] = useState(() => kept(notes));
  const ids = useMemo(() => new Set(own.map(l => l.id)), [own]);
  const keep = (lesson: Lesson): void => {
    notes.set(KEY + lesson.id, lessonText(lesson));
    setOwn(kept(notes));
  };
  return {
    all: [...LESSONS.filter(l => !ids.has(l.id)), ...own],
    own: ids,
    /** Reads one from its file, and keeps it in this browser; gives what is wrong with it. */
    read: (bytes: Uint8Array): readonly Issue[] => {
      const lesson = readLesson(bytes);
      if (!lesson.ok) return lesson.issues;
      keep(lesson.value);
      return [];
    },
    keep,
    remove: (id: string): void => {
      notes.remove(KEY + id);
      setOwn(kept(notes));
    },
  };
};
