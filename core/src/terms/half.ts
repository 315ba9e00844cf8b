/** The two sides of a foot about its frog: lateral is the outside of the horse. */
export type Half = 'lateral' | 'medial'
