/**
 * The two halves of a foot about its frog: lateral is the outside of the horse. A branch is the half of the shoe that lies
 * under one of them: what is named `branch` speaks of the shoe, what is named `half` of the foot.
 */
export type Half = 'lateral' | 'medial'
