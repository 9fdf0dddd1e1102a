import type { Pixels } from '../src/core/picture/pixels';
import { planOf } from '../src/core/plan/planOf';
import { turnFor } from '../src/drawing/orient';
import type { Piece } from '../src/records/piece';
import { sampleWorkshop } from '../src/sample/sampleWorkshop';

/** The form of the cosy of the sample. */
const cosyForm = () => {
  const cosy = sampleWorkshop('2026-11-02T10:00:00.000Z').records.find(
    (r): r is Piece => r.kind === 'piece' && r.id === 'sample-kelp-cosy',
  );
  const plan = cosy ? planOf(cosy.plan) : null;
  if (!plan?.ok) throw new Error('The cosy has no plan.');
  return plan.value.form;
};

/** The laid outline of the cosy of the sample: in its own frame, and as it lies on the table. */
export const laidOutline = () => cosyForm().laid.points;
export const tableOutline = () => {
  const { laid, alongOnTable } = cosyForm();
  return laid.points.map(turnFor(alongOnTable));
};

/** A picture as a bitmap file of 24 bits, as any browser reads it. */
export const bitmapOf = ({ width, height, data }: Pixels): Buffer => {
  const row = Math.ceil((3 * width) / 4) * 4;
  const file = Buffer.alloc(54 + row * height);
  file.write('BM', 0);
  file.writeUInt32LE(file.length, 2);
  file.writeUInt32LE(54, 10);
  file.writeUInt32LE(40, 14);
  file.writeInt32LE(width, 18);
  file.writeInt32LE(height, 22);
  file.writeUInt16LE(1, 26);
  file.writeUInt16LE(24, 28);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1)
      for (let c = 0; c < 3; c += 1)
        file[54 + (height - 1 - y) * row + 3 * x + 2 - c] = data[4 * (y * width + x) + c] ?? 0;
  return file;
};
