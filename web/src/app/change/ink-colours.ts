const NAMES = {
  ink: '--ink',
  soft: '--ink-soft',
  rule: '--rule-strong',
  line: '--rule',
  sheet: '--sheet',
  ember: '--ember',
  construct: '--construct',
} as const

/** The scheme's colours as plain values, for a chart that cannot read them from the page. */
export function inkColours(): Record<keyof typeof NAMES, string> {
  const probe = document.body.appendChild(document.createElement('i'))
  // A passing of one colour into the next would be read half way.
  probe.style.transition = 'none'
  try {
    return Object.fromEntries(
      Object.entries(NAMES).map(([name, property]) => {
        probe.style.color = `var(${property})`
        return [name, getComputedStyle(probe).color]
      }),
    ) as Record<keyof typeof NAMES, string>
  } finally {
    probe.remove()
  }
}
