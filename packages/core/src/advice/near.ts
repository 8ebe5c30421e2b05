/** What lies within a tenth of its limit is no warning: nobody measures mud, light or a night so finely. */
export const NEAR = 1.1;
