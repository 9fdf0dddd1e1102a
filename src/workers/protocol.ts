import type { Fibre, Blend } from '../core/colour/blend';
import type { Evenness } from '../core/evenness/evenness';
import type { Field } from '../core/evenness/field';
import type { PieceForecast, FeltingGoal } from '../core/felting/forecastPiece';
import type { PriorEvidence } from '../core/felting/pooledPrior';
import type { FeltingRecord } from '../core/felting/likelihood';
import type { RecordedPiece, RecordedProject, RecordedSwatch, RecordRow } from '../core/record/recordRow';
import type { PieceAccuracy, ReplayedPiece } from '../core/accuracy/accuracyOf';
import type { Issue } from '../core/issues';
import type { OpenWork, PlannedWork } from '../core/schedule/planWork';
import type { PromiseReadiness } from '../core/schedule/readinessOf';
import type { Polygon } from '../core/outline/polygon';
import type { LogEntry } from '../core/log/entry';
import type { Hidden } from '../core/rehearsal/hidden';
import type { Played, Player } from '../core/rehearsal/playAdvice';
import type { RehearsalSetup } from '../core/rehearsal/rehearsedOf';
import type { Result } from '../core/result';
import type { Orientation, PaperName } from '../drawing/sheets';
import type { RecipeCard } from '../records/recipeCard';
import type { CardPage, CardPaper } from '../files/recipeCardPdf';
import type { ListSection } from '../files/listPdf';
import type { Label } from '../files/labelsPdf';
import type { SvgOutlines } from '../files/svgOutlines';
import type { PieceSummary, RawPiece } from '../records/summary';
import type { PreparedPictures } from './preparePicture';
import type { Template } from '../drawing/template';
import type { LayoutAsk } from '../core/evenness/simulateLayout';
import type { LightReading } from '../core/light/lightCheck';
import type { MotionSample } from '../core/motion/motion';
import type { MotionScene } from '../core/motion/motionScene';
import type { PhotoAsked, PhotoReading } from '../core/photo/photoAsked';
import type { TraceAsked, TracedOutline } from '../core/photo/tracePhoto';
import type { PhotoScene } from '../core/photo/sceneTable';
import type { OpenAsk, OpenOutcome, SaveAsk, Saved, TurnedBack } from './wholeWork';

/** Work that is done off the main thread. Both sides read it. */
export interface Jobs {
  readonly templatePdf: {
    readonly request: {
      readonly template: Template;
      readonly paper: PaperName;
      readonly orientation: Orientation;
    };
    readonly answer: ArrayBuffer;
  };
  readonly svgOutlines: {
    readonly request: { readonly bytes: Uint8Array };
    readonly answer: Result<SvgOutlines>;
  };
  readonly evenness: {
    readonly request: LayoutAsk;
    readonly answer: { readonly field: Field; readonly evenness: Evenness };
  };
  /** Where a piece that was held to the light is thin, from a picture as the camera wrote it. */
  readonly lightCheck: {
    readonly request: {
      readonly bytes: Uint8Array<ArrayBuffer>;
      /** Of the piece as it was laid and lies on the table, mm. */
      readonly outline: readonly Polygon[];
    };
    readonly answer: Result<LightReading>;
  };
  /** A picture of a made-up piece against the light, as a camera would write it: PNG. */
  readonly madeUpLight: {
    readonly request: { readonly outline: readonly Polygon[]; readonly seed: number };
    readonly answer: ArrayBuffer;
  };
  /** How long a piece is now, from a picture as the camera wrote it, with something of a known size beside it. */
  readonly measurePhoto: {
    readonly request: { readonly bytes: Uint8Array<ArrayBuffer>; readonly asked: PhotoAsked };
    readonly answer: Result<PhotoReading>;
  };
  /** Before the first picture comes: fetches what measures it, and runs it once on a small made-up one, for the first run takes twice as long. */
  readonly readyPhoto: { readonly request: null; readonly answer: null };
  /** An outline traced from a picture as the camera wrote it. */
  readonly tracePhoto: {
    readonly request: { readonly bytes: Uint8Array<ArrayBuffer>; readonly asked: TraceAsked };
    readonly answer: Result<TracedOutline>;
  };
  /** A picture of a made-up piece on a table, as a camera would write it: PNG. */
  readonly madeUpPhoto: { readonly request: PhotoScene; readonly answer: ArrayBuffer };
  /** How a phone is moved by somebody made up who rolls. */
  readonly madeUpMotion: { readonly request: MotionScene; readonly answer: readonly MotionSample[] };
  readonly forecastPiece: {
    readonly request: { readonly record: FeltingRecord; readonly goal: FeltingGoal };
    readonly answer: PieceForecast;
  };
  /** What the logs of finished pieces say, each inferred from general practice. */
  readonly learn: {
    readonly request: { readonly logs: readonly FeltingRecord[] };
    readonly answer: ReadonlyArray<PriorEvidence['says']>;
  };
  readonly listPdf: {
    readonly request: { readonly title: string; readonly sections: readonly ListSection[] };
    readonly answer: ArrayBuffer;
  };
  readonly labelsPdf: {
    readonly request: { readonly labels: readonly Label[]; readonly title: string };
    readonly answer: ArrayBuffer;
  };
  /** A workshop of the browser's own database, or a piece of it, as a file that was read back. */
  readonly saveWhole: {
    readonly request: { readonly database: string; readonly ask: SaveAsk };
    readonly answer: Result<Saved>;
  };
  /** A workshop file, JSON or zip, checked whole and taken into the browser's own database. */
  readonly openWhole: {
    readonly request: { readonly database: string; readonly ask: OpenAsk };
    readonly answer: Result<OpenOutcome>;
  };
  /** A reading taken back, or brought again. */
  readonly takeBackWhole: {
    readonly request: {
      readonly database: string;
      readonly ask: { readonly back: Uint8Array; readonly at: string };
    };
    readonly answer: Result<TurnedBack>;
  };
  /** A picture made ready to be kept. */
  readonly picture: {
    readonly request: { readonly bytes: Uint8Array<ArrayBuffer> };
    readonly answer: Result<PreparedPictures>;
  };
  /** Rows of the record, from everything that is finished. */
  readonly recordRows: {
    readonly request: {
      readonly pieces: readonly RecordedPiece[];
      readonly swatches: readonly RecordedSwatch[];
      readonly projects: readonly RecordedProject[];
    };
    readonly answer: readonly RecordRow[];
  };
  /** How right the predictions were, replayed from the logs of finished pieces. */
  readonly accuracy: {
    readonly request: {
      readonly pieces: readonly ReplayedPiece[];
      readonly swatches: ReadonlyArray<{ readonly finishedMs: number; readonly evidence: PriorEvidence }>;
    };
    readonly answer: readonly PieceAccuracy[];
  };
  readonly recipeCardPdf: {
    readonly request: { readonly page: CardPage; readonly paper: CardPaper; readonly copies: number };
    readonly answer: ArrayBuffer;
  };
  /** A recipe read from its file, or from a picture of its card. */
  readonly readRecipe: {
    readonly request: { readonly bytes: Uint8Array<ArrayBuffer> };
    readonly answer: Result<RecipeCard>;
  };
  /** All open work laid into the maker's hours. */
  readonly schedule: {
    readonly request: { readonly open: OpenWork };
    readonly answer: PlannedWork;
  };
  /** A rehearsal played on by the advice alone, from where a log is. */
  readonly playAdvice: {
    readonly request: {
      readonly setup: RehearsalSetup;
      readonly hidden: Hidden;
      readonly player: Player;
      readonly log: readonly LogEntry[];
    };
    readonly answer: Result<Played>;
  };
  /** How likely each promise is to be ready. */
  readonly readiness: {
    readonly request: { readonly open: OpenWork; readonly rank: readonly number[] };
    readonly answer: readonly PromiseReadiness[];
  };
  /** What is shown of pieces where many are. */
  readonly summaries: {
    readonly request: { readonly pieces: readonly RawPiece[] };
    readonly answer: readonly PieceSummary[];
  };
  readonly blends: {
    readonly request: { readonly wanted: string; readonly shelf: readonly Fibre[] };
    readonly answer: readonly Blend[];
  };
}
export type JobName = keyof Jobs;

/**
 * How long a job may be silent before it is given up, ms: far beyond what it takes on a slow device. Progress is a sign of life.
 */
export const SILENT_MS: Readonly<Record<JobName, number>> = {
  templatePdf: 60_000,
  svgOutlines: 60_000,
  evenness: 120_000,
  lightCheck: 60_000,
  madeUpLight: 60_000,
  measurePhoto: 60_000,
  readyPhoto: 60_000,
  tracePhoto: 60_000,
  madeUpPhoto: 60_000,
  madeUpMotion: 30_000,
  forecastPiece: 20_000,
  learn: 60_000,
  listPdf: 30_000,
  labelsPdf: 30_000,
  blends: 60_000,
  // Years of work, read and written on a slow device.
  saveWhole: 300_000,
  openWhole: 300_000,
  takeBackWhole: 300_000,
  picture: 30_000,
  recordRows: 60_000,
  recipeCardPdf: 30_000,
  readRecipe: 30_000,
  accuracy: 60_000,
  playAdvice: 120_000,
  schedule: 30_000,
  readiness: 60_000,
  summaries: 60_000,
};

/** One ask of each job: the name tells which. */
export type JobRequest = {
  readonly [N in JobName]: { readonly id: number; readonly job: N; readonly request: Jobs[N]['request'] };
}[JobName];

export type JobAnswer =
  /** The worker has started. */
  | { readonly id: 0; readonly type: 'ready' }
  | { readonly id: number; readonly type: 'progress'; readonly done: number; readonly of: number }
  | { readonly id: number; readonly type: 'done'; readonly answer: Jobs[JobName]['answer'] }
  | { readonly id: number; readonly type: 'failed'; readonly issue: Issue };
