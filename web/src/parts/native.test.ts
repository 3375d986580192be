import { readdirSync, readFileSync, statSync } from 'node:fs';
import { basename, dirname, join, resolve } from 'node:path';

const root = resolve(__dirname, '..');

function filesUnder(folder: string): string[] {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    return statSync(path).isDirectory() ? filesUnder(path) : [path];
  });
}
const files = filesUnder(root);
const components = files.filter((file) => /(?<!\.test)\.tsx$/.test(file));
const sheets = files.filter((file) => file.endsWith('.module.css'));
const short = (file: string) => file.slice(root.length + 1);

/** Native controls that may stand, by file, each with its reason. None is needed today. */
const allowed: Readonly<Record<string, string>> = {};

test('what a person touches is Mantine’s: no native control stands in a component', () => {
  const native =
    /<(button|input|select|textarea|table|thead|tbody|tfoot|tr|th|td|fieldset|dialog|details)[\s>]/g;
  const found = components
    .filter((file) => !(short(file) in allowed))
    .flatMap((file) =>
      [...readFileSync(file, 'utf8').matchAll(native)].map(([tag]) => `${short(file)}: ${tag}`),
    );
  expect(components.length).toBeGreaterThan(60);
  expect(found).toEqual([]);
});

/** Classes a sheet defines at its own level, those of others' (`:global`) left out. */
function classesOf(css: string): Set<string> {
  const own = css.replace(/\/\*[\s\S]*?\*\//g, '').replace(/:global\([^)]*\)/g, '');
  const selectors = own.replace(/\{[^{}]*?(?=[.&@}])/g, '{').replace(/:[^;{}]*;/g, ';');
  return new Set([...selectors.matchAll(/\.([a-zA-Z][\w-]*)/g)].map(([, name]) => name as string));
}

test('each class that is asked for is in its sheet, and each in a sheet is asked for; no view styles another', () => {
  const problems: string[] = [];
  const used = new Map<string, Set<string>>();
  for (const file of files.filter((one) => /(?<!\.test)\.tsx?$/.test(one))) {
    const text = readFileSync(file, 'utf8');
    for (const [, name, path] of text.matchAll(/import (\w+) from '([^']+\.module\.css)'/g)) {
      const sheet = resolve(dirname(file), path as string);
      const classes = classesOf(readFileSync(sheet, 'utf8'));
      const body = text.replace(/^import .*$/gm, '').replace(/^} from .*$/gm, '');
      const asked = [...body.matchAll(new RegExp(`\\b${name}\\.(\\w+)`, 'g'))].map(
        ([, one]) => one as string,
      );
      const dynamic = new RegExp(`\\b${name}\\[`).test(body) ? [...classes] : [];
      used.set(sheet, new Set([...(used.get(sheet) ?? []), ...asked, ...dynamic]));
      problems.push(
        ...asked
          .filter((one) => !classes.has(one))
          .map((one) => `${short(file)} asks ${basename(sheet)} for .${one}`),
      );
    }
  }
  for (const sheet of sheets) {
    const unused = [...classesOf(readFileSync(sheet, 'utf8'))].filter((one) => !used.get(sheet)?.has(one));
    problems.push(...unused.map((one) => `.${one} of ${short(sheet)} is used nowhere`));
  }
  expect(problems).toEqual([]);
  expect(new Set(sheets.map((sheet) => basename(sheet))).size).toBe(sheets.length);
});

test('sizes of text are the four of the tokens, and that of a clock in the air', () => {
  const odd = sheets.flatMap((sheet) =>
    [...readFileSync(sheet, 'utf8').matchAll(/font-size: ([^;]+);/g)]
      .map(([, size]) => size as string)
      .filter(
        (size) =>
          !/^(inherit|12px|(calc\()?var\(--(text|text-small|text-title|text-head|text-air|control-text)\)( \* 0\.62\))?)$/.test(
            size,
          ),
      )
      .map((size) => `${short(sheet)}: ${size}`),
  );
  expect(odd).toEqual([]);
});
