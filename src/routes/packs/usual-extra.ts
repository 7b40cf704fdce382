/** Doubles of commons bring next to nothing (● under 1.00 a card goes into a box), others perhaps a quarter: a rule of thumb of ours, in plain sight. */
export const USUAL_EXTRA = { percent: 25, fromMinor: 100 };
