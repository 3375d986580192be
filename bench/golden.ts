import { writeFileSync } from 'node:fs';
import { goldenTable } from '../core/fixtures/goldenTable';

/** Writes the golden table anew; the commit that takes it says why it changed. */
const rows = goldenTable();
writeFileSync('core/fixtures/goldenTable.json', `${JSON.stringify(rows, null, 2)}\n`);
console.log(`${rows.length} rows written. Say in the commit why they changed.`);
