// Writes a generated building, its air reckoned and its work begun, as a job file: how many rooms, and where.
import { writeFileSync } from 'node:fs';
import { writeJob } from '../src';
import { begun } from './building-job';

const [count, file] = process.argv.slice(2);
writeFileSync(file as string, writeJob(begun(Number(count))));
