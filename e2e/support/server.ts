import { spawn, spawnSync, type ChildProcess } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { demoInto, DIST } from './seeded'

/** The built server on a data folder of its own. */
export class TestServer {
  private process: ChildProcess | undefined

  private constructor(
    readonly dataFolder: string,
    readonly port: number,
    private readonly more: NodeJS.ProcessEnv,
  ) {}

  get url(): string {
    return `http://127.0.0.1:${this.port}`
  }

  /** Starts a server, with the demo practice unless it is to be empty. */
  static async start(data: 'demo' | 'empty' = 'demo', more: NodeJS.ProcessEnv = {}): Promise<TestServer> {
    const server = new TestServer(mkdtempSync(join(tmpdir(), 'crescent-e2e-')), await freePort(), more)
    if (data === 'demo') demoInto(server.dataFolder)
    await server.run()
    return server
  }

  /** Starts the process (again) on the same data. */
  async run(): Promise<void> {
    this.process = spawn(process.execPath, [join(DIST, 'main.js')], { env: this.env(), stdio: 'inherit' })
    for (let i = 0; i < 100; i++) {
      if (
        // Answered without a password too.
        await fetch(`${this.url}/api/session`).then(
          (r) => r.ok,
          () => false,
        )
      )
        return
      await new Promise((done) => setTimeout(done, 100))
    }
    throw new Error('The server did not start')
  }

  /** Ends the process as a power cut would, without a chance to tidy up. */
  async kill(signal: NodeJS.Signals = 'SIGKILL'): Promise<number | null> {
    const running = this.process
    if (!running || running.exitCode !== null || running.signalCode !== null) return null
    const gone = new Promise<number | null>((done) => running.once('exit', (code) => done(code)))
    running.kill(signal)
    return gone
  }

  /** Runs one of the built commands on this data and returns what it printed. */
  command(name: 'backup' | 'restore', ...parameters: string[]): string {
    const ran = spawnSync(process.execPath, [join(DIST, `${name}.js`), ...parameters], {
      env: this.env(),
      encoding: 'utf8',
    })
    if (ran.status !== 0) throw new Error(ran.stderr || ran.stdout)
    return ran.stdout
  }

  async stop(): Promise<void> {
    await this.kill()
    rmSync(this.dataFolder, { recursive: true, force: true })
  }

  private env(): NodeJS.ProcessEnv {
    return {
      ...process.env,
      CRESCENT_DATA: this.dataFolder,
      CRESCENT_PORT: String(this.port),
      CRESCENT_LOG: 'error',
      NODE_ENV: 'production',
      ...this.more,
    }
  }
}

function freePort(): Promise<number> {
  return new Promise((done, fail) => {
    const probe = createServer()
    probe.once('error', fail)
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number }
      probe.close(() => done(port))
    })
  })
}
