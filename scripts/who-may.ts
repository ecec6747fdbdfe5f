import { readFileSync, writeFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { commandNames, definitionOf } from '../src/lib/contract/commands.ts';
import { mayWait } from '../src/lib/contract/waiting.ts';
import { ROUTES, type Who } from '../src/lib/server/access.ts';

const FILE = 'docs/trust.md';
const BEGIN = '<!-- who may: written by scripts/who-may.ts -->\n<!-- prettier-ignore-start -->\n';
const END = '<!-- prettier-ignore-end -->';

const PEOPLE: Record<Who, string> = {
  stranger: 'anybody',
  reader: 'readers and above',
  helper: 'helpers and above',
  keeper: 'keepers'
};
const code = (names: readonly string[]): string => names.map((name) => `\`${name}\``).join(', ') || '–';
const row = (...cells: readonly string[]): string => `| ${cells.join(' | ')} |\n`;
const head = (...cells: readonly string[]): string => row(...cells) + row(...cells.map(() => '---'));

/** Which noun a command is about. */
const nounOf = (name: string): string => name.split('.')[0];

/** Who may do what, as the routes and the definitions of commands say: Markdown. */
export function whoMayTable(): string {
  const ways = new Map<string, string[]>();
  for (const [route, { looks, changes }] of Object.entries(ROUTES)) {
    const way = `${PEOPLE[looks]} | ${PEOPLE[changes]}`;
    ways.set(way, [...(ways.get(way) ?? []), route]);
  }
  const routes = [...ways].map(([way, ids]) => row(way, code(ids.sort()))).join('');
  const nouns = [...new Set(commandNames.map(nounOf))].sort();
  const commands = nouns.map((noun) => {
    const own = commandNames.filter((name) => nounOf(name) === noun).sort();
    const helpers = own.filter((name) => definitionOf(name).who === 'helper');
    const keepers = own.filter((name) => definitionOf(name).who === 'keeper');
    const waits = own.filter(mayWait);
    const stays = own.filter((name) => !definitionOf(name).undo);
    return row(code(helpers), code(keepers), code(waits), code(stays));
  });
  return (
    head('Looks', 'Changes', 'Routes') +
    routes +
    '\n' +
    head('Commands of helpers and above', 'Of keepers alone', 'May wait in a browser', 'Cannot be undone') +
    commands.join('')
  );
}

/** The text of the documentation with the table as it is now. */
export function withTable(text: string): string {
  const [before, after] = [text.indexOf(BEGIN), text.indexOf(END)];
  if (before < 0 || after < before) throw new Error(`${FILE} has no place for the table.`);
  return text.slice(0, before + BEGIN.length) + whoMayTable() + text.slice(after);
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href)
  writeFileSync(FILE, withTable(readFileSync(FILE, 'utf8')));
