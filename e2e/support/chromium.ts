/** Debian's Chromium without a window (as `scripts/lib.mjs` installs it), and without the services it would call. */
export const CHROMIUM = {
  executablePath: '/usr/bin/chromium-headless-shell',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    // Letters stand where they stand on a screen.
    '--font-render-hinting=none',
    // Three dimensions without a graphics card.
    '--use-angle=swiftshader',
    '--enable-unsafe-swiftshader',
    // A camera that films a made-up picture, and whoever asks for it may have it.
    '--use-fake-device-for-media-stream',
    '--use-fake-ui-for-media-stream',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
}
