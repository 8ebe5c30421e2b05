/* eslint-disable no-control-regex -- control characters are what is taken out here */

/** A text on one line without control characters: formats of lines would take a break for a line of their own. */
export const oneLine = (text: string): string =>
  text.replace(/[\u0000-\u001f\u007f-\u009f\u2028\u2029]+/g, ' ').trim();

/** A text with nothing in it that XML may not hold: control characters, and halves of letters kept as two. */
export const forXml = (text: string): string =>
  text
    .replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g, '')
    .replace(/[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g, '')
    .replace(/[&<>"]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c] ?? c);
