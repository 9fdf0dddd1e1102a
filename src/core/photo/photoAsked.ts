import type { Point, Polygon } from '../outline/polygon';
import type { Camera } from './camera';
import type { LineAsked } from './gaugesRead';
import type { ReferenceKind } from './references';

/** What is looked for in a picture. */
export interface PhotoAsked {
  /** The piece as it was laid, mm. */
  readonly outline: Polygon;
  readonly lines: readonly LineAsked[];
  /** How long it may be beside what was laid: the least and the most. */
  readonly shares: readonly [number, number];
  readonly reference: ReferenceKind;
  /** Of the felt as it is now, mm. */
  readonly thickMm: number;
  /** Focal length as if the picture were 36 mm long, where the file says so. */
  readonly focal35?: number;
  /** Where somebody pointed at the piece, and at what lies beside it, as shares of the picture’s width and height. */
  readonly piece?: Point;
  readonly card?: Point;
}

/** A line that was read. */
export interface LineRead {
  readonly id: string;
  readonly mm: number;
  /** It is within so much of that 95 times in 100, mm. */
  readonly within: number;
  /** Its ends in the picture, as shares of its width and height. */
  readonly from: Point;
  readonly to: Point;
}

/** What a picture says of a piece. */
export interface PhotoReading {
  readonly lines: readonly LineRead[];
  /** The same where it lies turned another way, which its outline does not tell; none where that changes no length. */
  readonly turned: ReadonlyArray<readonly LineRead[]>;
  /** True where it is seen from its other side. */
  readonly isMirrored: boolean;
  /** The rim, and what was laid beside it, in the picture, as shares of its width and height. */
  readonly rim: readonly Point[];
  readonly card: readonly Point[];
  /** The rim in the laid outline’s own frame, mm, as it would lie on the plan unturned. */
  readonly onPlan: readonly Point[];
  /** What it was read by, so that an end of a line can be moved. */
  readonly camera: Camera;
  readonly heightMm: number;
  readonly picture: { readonly width: number; readonly height: number };
}
