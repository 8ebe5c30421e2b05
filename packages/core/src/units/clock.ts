/** Minutes from midnight of a time of day such as `15:30`. */
export const clockMinutes = (text: string): number =>
  Number(text.slice(0, 2)) * 60 + Number(text.slice(3, 5));
