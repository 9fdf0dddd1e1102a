import { z } from 'zod';
import { PART_SORTS } from '../core/project/partSorts';
import type { ProjectKind } from '../core/project/projectKinds';
import { fresh, Hash, Id, IsoTime, kept } from './common';
import { defineKind } from './kind';

const Count = z.number().min(0.001).max(100_000);
const Pixels = z.number().int().min(1).max(20_000);

const ProjectSchema = z.object({
  kind: z.literal('project'),
  version: z.literal(1),
  ...kept,
  name: z.string().min(1).max(200),
  notes: z.string().max(20_000),
  /** Pieces that go into it: what each is, how many of it, and which one on the table; null while none is chosen. */
  pieces: z
    .array(
      z.object({
        id: Id,
        what: z.string().max(200),
        count: z.number().int().min(1).max(9999),
        pieceId: Id.nullable(),
      }),
    )
    .max(200),
  /** Parts that go into it, in their own unit; null while none of the shelf is chosen. */
  parts: z
    .array(z.object({ id: Id, sort: z.enum(PART_SORTS), count: Count, partId: Id.nullable() }))
    .max(200),
  /** Steps of joining, in their order; done or not. */
  steps: z.array(z.object({ id: Id, text: z.string().min(1).max(500), isDone: z.boolean() })).max(200),
  /** The day it is wanted on, as 2026-12-24; null for none. */
  due: z.iso.date().nullable(),
  picture: z.object({ hash: Hash, small: Hash, widthPx: Pixels, heightPx: Pixels }).nullable(),
  /** When it was put together; its parts are off the shelf from then on. */
  doneAt: IsoTime.nullable(),
});

/** Pieces and parts that become one thing. */
export type Project = z.infer<typeof ProjectSchema>;

export const projectKind = defineKind<Project>({
  kind: 'project',
  table: 'projects',
  since: 5,
  schema: ProjectSchema,
  migrations: [],
  nameOf: project => project.name,
  refersTo: ({ pieces, parts }) => [
    ...pieces.flatMap(({ pieceId }, i) =>
      pieceId === null ? [] : [{ kind: 'piece', id: pieceId, path: `pieces[${i}].pieceId` }],
    ),
    ...parts.flatMap(({ partId }, i) =>
      partId === null ? [] : [{ kind: 'part', id: partId, path: `parts[${i}].partId` }],
    ),
  ],
  attachments: ({ picture }) => (picture ? [picture.hash, picture.small] : []),
});

/** A new project of a kind, with places for its pieces and parts. */
export const newProject = (
  kind: ProjectKind,
  of: { readonly newId: () => string; readonly now: string },
): Project => ({
  kind: 'project',
  version: 1,
  ...fresh(of.newId(), of.now),
  name: kind.title,
  notes: '',
  pieces: kind.pieces.map(p => ({ id: of.newId(), ...p, pieceId: null })),
  parts: kind.parts.map(p => ({ id: of.newId(), ...p, partId: null })),
  steps: kind.steps.map(text => ({ id: of.newId(), text, isDone: false })),
  due: null,
  picture: null,
  doneAt: null,
});
