import { useState } from 'react';
import { issueText } from '../../words/issues';
import type { Polygon } from '../../core/outline/polygon';
import type { SvgOutlines } from '../../files/svgOutlines';
import { useNotify } from '../../session/notices';
import { useWorkshop } from '../../session/workshop';

/** Reads an SVG off the main thread. Nothing in it is run; what is wrong is said with its place. */
export const useSvgFile = () => {
  const [found, setFound] = useState<SvgOutlines | null>(null);
  const [problems, setProblems] = useState<readonly string[]>([]);
  const { failed } = useNotify();
  const { workers } = useWorkshop();
  const read = (file: File, onOutline: (points: Polygon) => void): void => {
    const work = async (): Promise<void> => {
      const asked = await workers.long.run('svgOutlines', {
        bytes: new Uint8Array(await file.arrayBuffer()),
      });
      const got = asked.ok ? asked.value : asked;
      setFound(got.ok ? got.value : null);
      setProblems(got.ok ? [] : got.issues.map(issueText));
      const [largest] = got.ok ? got.value.outlines : [];
      if (largest) onOutline(largest.points);
    };
    work().catch(failed);
  };
  return { found, problems, read };
};
