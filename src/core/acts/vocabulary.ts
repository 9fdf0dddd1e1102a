/** What acts are told with: each list is the whole of what may be said. */
export const CUSHIONS = ['thick', 'bubble', 'mat', 'bare'] as const;
export type Cushion = (typeof CUSHIONS)[number];

export const PRESSURES = ['light', 'arms', 'hard'] as const;
export type Pressure = (typeof PRESSURES)[number];

/** Degrees from along: the direction in which the bundle advances, which is the one that shortens. */
export const ROLL_DIRECTIONS = [0, 45, 90, 135] as const;
export type RollDirection = (typeof ROLL_DIRECTIONS)[number];

export const WATERS = ['hot', 'warm', 'cold'] as const;
export type Water = (typeof WATERS)[number];

export const WETNESSES = ['dry', 'right', 'pools'] as const;
export type Wetness = (typeof WETNESSES)[number];
export const FOAMS = ['none', 'right', 'much'] as const;
export type Foam = (typeof FOAMS)[number];

/** Where the edge of a piece lies when it is held against its drawing: still at the dashed line, and so on to inside the dotted one. */
export const DRAWING_MARKS = ['dashed', 'inside', 'half', 'finger', 'on', 'past'] as const;
export type DrawingMark = (typeof DRAWING_MARKS)[number];

/** Tests beside the pinch test, each with grades from 0. */
export const TESTS = ['finger', 'pull', 'light', 'squeeze', 'cloth', 'bend', 'resist'] as const;
export type TestName = (typeof TESTS)[number];

/** 0 strands come away, 1 strands lift, 2 the skin lifts as one, 3 nothing lifts. */
export const PINCH_GRADES = [0, 1, 2, 3] as const;
export type PinchGrade = (typeof PINCH_GRADES)[number];

/** How a maker judges where a piece stands: with a tape, against its drawing, or by feel. */
export const JUDGES = ['tape', 'drawing', 'feel'] as const;
export type Judge = (typeof JUDGES)[number];
