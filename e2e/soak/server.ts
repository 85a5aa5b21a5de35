/** The real server as a process of its own, for long runs: started, talked to over HTTP, killed hard. */
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('../../', import.meta.url));

export class SoakedServer {
  readonly data = mkdtempSync(join(tmpdir(), 'tide-pebble-soak-'));
  private process: ChildProcess | null = null;
  address = '';

  async start(): Promise<void> {
    const port = this.address ? new URL(this.address).port : '0';
    const child = spawn(process.execPath, [join(root, 'dist/server/main.mjs'), '--port', port, '--data', this.data], {
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    this.process = child;
    let said = '';
    await new Promise<void>((ready, failed) => {
      const listen = (text: Buffer): void => {
        said += text.toString();
        const found = /http:\/\/127\.0\.0\.1:\d+/.exec(said);
        if (!found) return;
        this.address = found[0];
        ready();
      };
      child.stdout.on('data', listen);
      child.stderr.on('data', listen);
      child.once('exit', (code) => failed(new Error(`the server ended with ${code}: ${said}`)));
    });
  }

  /** Dead at once, whatever it was doing. */
  async kill(): Promise<void> {
    const child = this.process;
    if (!child) return;
    this.process = null;
    await new Promise((done) => {
      child.once('exit', done);
      child.kill('SIGKILL');
    });
  }

  /** What its process has worked so far, s: user and system, in ticks of a hundredth. Linux only. */
  worked(): number {
    const stat = readFileSync(`/proc/${this.process!.pid}/stat`, 'utf8');
    const [user, system] = stat
      .slice(stat.lastIndexOf(')') + 2)
      .split(' ')
      .slice(11, 13);
    return (Number(user) + Number(system)) / 100;
  }

  /** Resident, MB. Linux only. */
  memory(): number {
    return Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${this.process!.pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;
  }

  async end(): Promise<void> {
    await this.kill();
    rmSync(this.data, { recursive: true, force: true });
  }
}

/** `--runs N` of the command line, else `usual`. */
export function runsAsked(usual: number): number {
  const at = process.argv.indexOf('--runs');
  return at < 0 ? usual : Number(process.argv[at + 1]);
}

/** Says how it went, and ends the process by it. */
export function tell(what: string, wrong: readonly string[]): never {
  for (const line of wrong.slice(0, 20)) console.error(line);
  console.log(`${what}: ${wrong.length === 0 ? 'nothing wrong' : `${wrong.length} wrong`}`);
  process.exit(wrong.length === 0 ? 0 : 1);
}
