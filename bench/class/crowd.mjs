// The minds of many simulated students, in a process of their own: shown what pages show, they say what they do.
import { spawn } from 'node:child_process';
import { createInterface } from 'node:readline';

export class Crowd {
  #waiting = [];

  /** @param who {seed, begins, minutes, young, names} */
  constructor(who) {
    this.process = spawn('php', [new URL('minds.php', import.meta.url).pathname], {
      stdio: ['pipe', 'pipe', 'inherit'],
    });
    createInterface({ input: this.process.stdout }).on('line', (line) => this.#waiting.shift()?.(JSON.parse(line)));
    this.process.stdin.write(`${JSON.stringify(who)}\n`);
  }

  /** @param looks [number, sight] of each who looks @returns {acts, again} */
  look(now, looks) {
    return new Promise((done) => {
      this.#waiting.push(done);
      this.process.stdin.write(`${JSON.stringify({ now, looks })}\n`);
    });
  }

  end() {
    this.process.stdin.end();
  }
}
