import { request } from 'node:http';
import { isAtLeast, ROUTES, whoMay, type Who } from '../../src/lib/server/access.ts';
import { commandNames } from '../../src/lib/contract/commands.ts';
import { expect, test, type Bench } from './bench';

type Answer = { status: number; location: string; cookie: string; body: string };

/** Sends a request with its path letter by letter as it is given: nothing tidies it on the way. */
function ask(bench: Bench, method: string, path: string, cookie = '', form?: object): Promise<Answer> {
  const { port } = new URL(bench.url);
  const body = form ? new URLSearchParams({ ...form }).toString() : method === 'POST' ? '{}' : '';
  return new Promise((resolve, reject) => {
    const sent = request(
      {
        port,
        host: '127.0.0.1',
        method,
        path,
        headers: {
          ...(cookie ? { cookie } : {}),
          ...(form ? { 'x-sveltekit-action': 'true', accept: 'application/json' } : {}),
          'content-type': form ? 'application/x-www-form-urlencoded' : 'application/json',
          'content-length': Buffer.byteLength(body)
        }
      },
      (answer) => {
        const cookie = (answer.headers['set-cookie'] ?? []).map((one) => one.split(';')[0]).join('; ');
        const { statusCode: status = 0, headers } = answer;
        const done = (text: string) =>
          resolve({ status, location: headers.location ?? '', cookie, body: text });
        // A stream of news never ends.
        if (headers['content-type']?.startsWith('text/event-stream')) {
          answer.destroy();
          return done('');
        }
        let text = '';
        answer.setEncoding('utf8').on('data', (part: string) => (text += part));
        answer.on('end', () => done(text));
        answer.on('error', reject);
      }
    );
    sent.on('error', reject);
    sent.end(body);
  });
}

/** A bench of three people; the cookie of each, and a stranger's. */
async function crew(bench: Bench): Promise<Record<Who, string>> {
  const keeper = { name: 'Lamp keeper', passphrase: 'cistern lantern' };
  const cookies = { stranger: '', keeper: (await ask(bench, 'POST', '/people?/first', '', keeper)).cookie };
  const joined = async (role: string, name: string) => {
    const { body } = await ask(bench, 'POST', '/people?/invite', cookies.keeper, { role });
    const [code] = /[A-Z2-9]{4}-[A-Z2-9]{4}-[A-Z2-9]{4}/.exec(body)!;
    return (await ask(bench, 'POST', '/join?/join', '', { code, name, passphrase: 'kale and leeks' })).cookie;
  };
  return {
    ...cookies,
    helper: await joined('helper', 'Garden crew'),
    reader: await joined('reader', 'Visitor')
  };
}

/** Whether an answer is that of the door, or of somebody who may not. */
const isDenied = ({ status, location, body }: Answer): boolean =>
  status === 401 ||
  status === 403 ||
  (status === 303 && location.startsWith('/enter')) ||
  // Forms are answered in JSON, where they are sent by a script.
  /^{"type":"redirect","status":303,"location":"\/enter\?/.test(body);

const encoded = (letter: string) => `%${letter.charCodeAt(0).toString(16)}`;

/** Other ways to write a path: each of its letters and dots encoded, all of them, and what servers differ about. */
function spellings(path: string): string[] {
  const letters = [...path].flatMap((letter, at) =>
    /[a-z.]/i.test(letter) ? [path.slice(0, at) + encoded(letter) + path.slice(at + 1)] : []
  );
  return [
    ...letters,
    path.replace(/[a-z]/gi, encoded),
    `/${path}`,
    `${path}/`,
    `${path}//`,
    `/.${path}`,
    `/x/..${path}`,
    `${path};x`,
    `${path}/.`,
    `${path}%2f`,
    `${path}?x`,
    path.replaceAll('/', '//'),
    path.replaceAll('/', '%2f')
  ];
}

test('every route and every command by everybody, however its address is written', async ({ bench }) => {
  const cookies = await crew(bench);
  const wrong: string[] = [];
  let asked = 0;
  const asking = async (who: Who, method: string, path: string, denied: boolean) => {
    asked++;
    const answer = await ask(bench, method, path, cookies[who]);
    if (isDenied(answer) !== denied) wrong.push(`${who} ${method} ${path}: ${answer.status}`);
  };
  /** However it is written it is denied, or nothing is there. */
  const tryRound = async (who: Who, method: string, path: string) => {
    for (const other of spellings(path)) {
      asked++;
      const answer = await ask(bench, method, other, cookies[who]);
      const nowhere = answer.status >= 300 && answer.status < 500;
      if (!isDenied(answer) && !nowhere) wrong.push(`${who} ${method} ${other}: ${answer.status}`);
    }
  };
  const everybody = ['stranger', 'reader', 'helper', 'keeper'] as const;
  for (const [routeId, access] of Object.entries(ROUTES)) {
    const path = routeId.replace('[kind=reported]', 'test').replace(/\[\w+\]/g, 'x');
    for (const method of ['GET', 'POST']) {
      const may = whoMay({ method, routeId, params: {} })!;
      for (const who of everybody) {
        const denied = !isAtLeast(who, may);
        // What somebody may do is done elsewhere: here it would sign them out, or put a bench back.
        if (!denied && method === 'POST') continue;
        await asking(who, method, path, denied);
        // What keepers alone do is tried with every letter; of the rest a stranger's look is enough.
        const keepers = access.changes === 'keeper' && who !== 'stranger';
        if (denied && (keepers || (who === 'stranger' && method === 'GET')))
          await tryRound(who, method, path);
      }
    }
  }
  for (const name of commandNames) {
    const path = `/api/v1/commands/${name}`;
    const may = whoMay({ method: 'POST', routeId: '/api/v1/commands/[name]', params: { name } })!;
    for (const who of ['stranger', 'reader', 'helper'] as const)
      if (!isAtLeast(who, may)) await asking(who, 'POST', path, true);
    if (may === 'keeper') await tryRound('helper', 'POST', path);
  }
  // What was found once: a helper who invites a keeper, or becomes one.
  const { helper } = cookies;
  for (const path of ['/%70eople?/invite', '/%70eople?/role', '/people/?/invite'])
    expect((await ask(bench, 'POST', path, helper, { role: 'keeper' })).body).not.toMatch(/[A-Z2-9]{4}-/);
  expect(wrong).toEqual([]);
  expect(asked).toBeGreaterThan(2000);
});

test('before the door a page knows nothing of the bench, and every answer says what may be done with it', async ({
  bench
}) => {
  const { keeper } = await crew(bench);
  const set = { letterhead: 'Skarn Holm\nthe caretaker crew', quietFrom: 61 };
  const command = { commandId: '01M8T1Z159D9Y0AP3Q0RRG1A1P', at: bench.now(), payload: set };
  const kept = await fetch(`${bench.url}/api/v1/commands/profile.set`, {
    method: 'POST',
    headers: { cookie: keeper, 'content-type': 'application/json' },
    body: JSON.stringify(command)
  });
  expect(kept.status).toBe(200);
  for (const path of ['/enter', '/join', '/lesson', '/enter/__data.json', '/lesson/__data.json']) {
    const { status, body } = await ask(bench, 'GET', path);
    expect(status).toBe(200);
    expect(body).not.toMatch(/Skarn Holm|caretaker|Garden crew/);
    expect(body).not.toContain('quietFrom:61');
  }
  for (const [path, cookie] of [
    ['/log', keeper],
    ['/enter', ''],
    ['/api/v1/tests', keeper],
    ['/api/v1/tests', ''],
    ['/log', ''],
    ['/log/__data.json', '']
  ]) {
    const { headers } = await fetch(bench.url + path, { headers: { cookie }, redirect: 'manual' });
    expect(headers.get('x-content-type-options'), path).toBe('nosniff');
    expect(headers.get('x-frame-options'), path).toBe('DENY');
    expect(headers.get('cross-origin-opener-policy'), path).toBe('same-origin');
    expect(headers.get('cross-origin-resource-policy'), path).toBe('same-origin');
    expect(headers.get('permissions-policy'), path).toContain('microphone=()');
    expect([...headers.keys()].join(), path).not.toMatch(/x-sveltekit/);
  }
});
