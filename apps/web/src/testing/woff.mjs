import { readFileSync } from 'node:fs';

/** A font as the build holds it: its bytes in base 64. */
export default {
  process: (_, file) => ({ code: `module.exports = ${JSON.stringify(readFileSync(file, 'base64'))};` }),
};
