// Writes a generated building as a job file: how many rooms, and where.
import { writeFileSync } from 'node:fs';
import { writeJob } from '../src';
import { building } from './building-job';

const [count, file] = process.argv.slice(2);
writeFileSync(file as string, writeJob(building(Number(count))));
