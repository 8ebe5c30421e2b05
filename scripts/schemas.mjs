// Writes the JSON Schemas of the formats to docs/formats, from the command that prints them.
import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';

for (const name of ['job', 'plan']) {
  const text = execFileSync('npm', ['run', '-s', 'lisse', '--', 'schema', name], { encoding: 'utf8' });
  writeFileSync(new URL(`../docs/formats/${name}.schema.json`, import.meta.url), text);
}
