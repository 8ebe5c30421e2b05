export { CutMemo } from './memo';
export { bestCutting, type Solve } from './program';
export { cutSticks, type Cutting, type CutStick, type OnHand, type Part, type ToCut } from './sticks';
