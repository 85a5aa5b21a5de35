/** Who listens on a port of this machine, in words, so that a maker knows what to stop. */
import { readdirSync, readFileSync, readlinkSync } from 'node:fs';

/** Reads Linux's own tables; elsewhere, and where the holder is another user's, null. */
export function portHolder(port: number): string | null {
  try {
    const LISTENS = '0A';
    const sockets = ['/proc/net/tcp', '/proc/net/tcp6']
      .flatMap((table) => readFileSync(table, 'utf8').trim().split('\n').slice(1))
      .map((line) => line.trim().split(/\s+/));
    const inodes = new Set(
      sockets
        .filter((f) => f[3] === LISTENS && parseInt(f[1]!.split(':')[1]!, 16) === port)
        .map((f) => `socket:[${f[9]}]`),
    );
    for (const pid of readdirSync('/proc').filter((name) => /^\d+$/.test(name))) {
      if (holdsOne(pid, inodes))
        return `${readFileSync(`/proc/${pid}/cmdline`, 'utf8').split('\0').filter(Boolean).join(' ').slice(0, 160)} (process ${pid})`;
    }
  } catch {
    // Not Linux: the port is taken all the same, only by whom is not known.
  }
  return null;
}

function holdsOne(pid: string, inodes: ReadonlySet<string>): boolean {
  try {
    return readdirSync(`/proc/${pid}/fd`).some((fd) => inodes.has(linkOf(`/proc/${pid}/fd/${fd}`)));
  } catch {
    return false;
  }
}

function linkOf(path: string): string {
  try {
    return readlinkSync(path);
  } catch {
    return '';
  }
}
