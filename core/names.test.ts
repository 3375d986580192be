import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const root = join(__dirname, '..');

/** Source files of a package, without its tests. */
function sourcesOf(folder: string): string[] {
  return readdirSync(join(root, folder), { recursive: true })
    .map((name) => join(root, folder, String(name)))
    .filter((path) => /\.tsx?$/.test(path) && !/\.test\.tsx?$/.test(path));
}

test.each(['core/src', 'server/src', 'web/src'])('a name is exported once in %s', (folder) => {
  const declaration =
    /^export (?:abstract |async )?(?:function\*?|const|class|interface|type|enum) (\w+)\b(?! as)/gm;
  const owners = new Map<string, string[]>();
  for (const path of sourcesOf(folder))
    for (const [, name] of readFileSync(path, 'utf8').matchAll(declaration))
      owners.set(name as string, [...(owners.get(name as string) ?? []), path.slice(root.length + 1)]);
  expect(owners.size).toBeGreaterThan(50);
  expect([...owners].filter(([, files]) => files.length > 1)).toEqual([]);
});

test('no package exports whatever a file happens to export', () => {
  const all = ['core/src', 'server/src', 'web/src'].flatMap(sourcesOf);
  expect(all.filter((path) => /^export \*/m.test(readFileSync(path, 'utf8')))).toEqual([]);
});

/** The table “Where is …” of CONTRIBUTING: a stranger's question and the file that answers it. */
test('what CONTRIBUTING says of where things are is so', () => {
  const text = readFileSync(join(root, 'CONTRIBUTING.md'), 'utf8');
  const rows = [...text.matchAll(/^\| (.+?) \| `([\w/.]+)` \|$/gm)];
  const files = new Set(['core', 'server', 'web/src', 'e2e', 'scripts'].flatMap(allUnder));
  expect(rows.length).toBeGreaterThanOrEqual(30);
  expect(rows.filter(([, , path]) => !files.has(path as string)).map(([row]) => row)).toEqual([]);
});

function allUnder(folder: string): string[] {
  return readdirSync(join(root, folder), { recursive: true }).map((name) => join(folder, String(name)));
}
