/** A bite-off that decides a verdict, in a line. */
export const TEETH_FIGURE = 'The fish can bite through the line at the hook.'
