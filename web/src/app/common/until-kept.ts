/**
 * Asks, and keeps what was answered; where it could not be kept, asks again with all that was typed.
 *
 * @param ask what is asked, with the last answer where there was one; nothing where it was only closed
 * @param keep whether it is kept; it has said why where it is not
 * @returns whether something was kept
 */
export async function untilKept<Answer>(
  ask: (before?: Answer) => Promise<Answer | '' | undefined>,
  keep: (answer: Answer) => Promise<boolean>,
): Promise<boolean> {
  let answer = await ask()
  // Closed by a button that answers nothing it is empty, by Escape it is undefined: neither is an answer.
  while (answer) {
    if (await keep(answer)) return true
    answer = await ask(answer)
  }
  return false
}
