/** An error whose message is written for people and may be shown as it is. */
export class Told extends Error {}
