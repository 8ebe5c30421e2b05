import { EN, FEET, plan, speech, type Job } from '@lisse/core';
import { readFileSync } from 'node:fs';
import { faceName, jointName } from './words';

const say = speech(EN, FEET);

it.each(['tarn-ferry', 'pier-house'])('no two joints or faces of a room are called the same in %s', (id) => {
  const job = JSON.parse(readFileSync(`apps/web/public/demo/${id}.lisse.json`, 'utf8')) as Job;
  for (const room of plan(job).rooms) {
    const joints = room.joints.map((joint) => say(jointName(room, joint.id)));
    expect(new Set(joints).size).toBe(joints.length);
    const faces = room.faces.map((face) => say(faceName(room, face.id)));
    expect(new Set(faces).size).toBe(faces.length);
  }
});

it('the returns of several windows are numbered', () => {
  const job = JSON.parse(readFileSync('apps/web/public/demo/tarn-ferry.lisse.json', 'utf8')) as Job;
  const [room] = plan(job).rooms;
  expect(say(jointName(room!, 'return-w2-head'))).toBe('Outside corner, wall 1 and head return, window 2');
});
