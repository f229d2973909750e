// What a test does to the machine: standing still, killed processes, a service that misbehaves.
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';

const folder = process.env.FH_VAR ?? '';
const run = process.env.FH_RUN ?? '';

function secret(name: string): string {
  const line = readFileSync(`${folder}/secrets`, 'utf8')
    .split('\n')
    .find((one) => one.startsWith(`${name}=`));
  return line?.slice(name.length + 1) ?? '';
}

/** Orders the stand-in meeting service to misbehave for the next so many calls of one kind. */
export async function misbehave(
  kind: 'slow' | 'fail' | 'lie' | 'refuse',
  times: number,
  call: 'make' | 'members' | 'move' | 'say' | 'presence',
): Promise<void> {
  const base = new URL(process.env.FH_BASE ?? 'http://127.0.0.1:8580');
  base.port = String(Number(base.port) + 1);
  const answer = await fetch(new URL('/control/faults', base), {
    method: 'POST',
    headers: { Authorization: `Bearer ${secret('TOKEN')}`, 'Content-Type': 'application/json' },
    body: JSON.stringify({ kind, times, call }),
  });
  if (!answer.ok) throw new Error(`The stand-in answered ${answer.status}.`);
}

/** Asks the instance's supervisor. */
export function supervisor(...words: string[]): string {
  return execFileSync('supervisorctl', ['-s', `unix://${run}/supervisor.sock`, ...words], { encoding: 'utf8' });
}

/** Kills processes of the instance as a machine in trouble would: at once, with no word of warning. */
export function killHard(program: 'php' | 'worker' | 'first-views' | 'gate' | 'media'): number {
  const victims =
    program === 'php'
      ? ['application', 'php-fpm'].flatMap((parent) =>
          execFileSync('pgrep', ['-P', supervisor('pid', parent).trim()], { encoding: 'utf8' })
            .trim()
            .split('\n'),
        )
      : (program === 'worker' ? ['worker:worker-0', 'worker:worker-1'] : [program]).map((one) =>
          supervisor('pid', one).trim(),
        );
  execFileSync('kill', ['-9', ...victims]);
  return victims.length;
}

/** Kills the database at once, with no word of warning; it is started anew by itself. */
export function killDatabase(): void {
  execFileSync('kill', ['-9', supervisor('pid', 'postgres').trim()]);
}

/** What stands in the web server's log. */
export const serverLog = (): string => readFileSync(`${folder}/log/nginx.log`, 'utf8');
