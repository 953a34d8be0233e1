import { spawnSync } from 'node:child_process'
import { describe, expect, it } from 'vitest'

const kc = (args: string[], input = '') => {
  const r = spawnSync('npx', ['tsx', 'cli/kc.ts', ...args], { input, encoding: 'utf8' })
  const said = r.stderr.split('\n').filter((l) => l.startsWith('{'))
  return {
    status: r.status,
    out: r.stdout,
    error: said[0] ? (JSON.parse(said[0]) as { error: { code: string; message: string } }).error : undefined,
  }
}

describe('the command line', () => {
  it('reads text from standard input and prints one JSON document', () => {
    const { status, out } = kc(['parse', '--region', 'uk'], 'Cake\n200 g plain flour\n')
    expect(status).toBe(0)
    const answer = JSON.parse(out) as { recipe: { parts: { lines: unknown[] }[] } }
    expect(answer.recipe.parts[0]!.lines).toHaveLength(1)
  })

  it('exits 2 with one line of JSON on a bad request, and prints nothing else', () => {
    for (const args of [['dance'], ['balance', 'no-such-file.txt'], ['balance', '--region', 'moon']]) {
      const { status, out, error } = kc(args, 'Cake\n1 egg')
      expect(status).toBe(2)
      expect(out).toBe('')
      expect(error!.message.length).toBeGreaterThan(10)
    }
  })

  it('goes on after a bad line of a batch, in order', () => {
    const rows = [
      '{"id":1,"verb":"parse","text":"Cake\\n1 egg"}',
      'not json',
      '{"id":3,"verb":"dance"}',
      '{"id":4,"verb":"ingredients","query":"soda"}',
    ]
    const { status, out } = kc(['batch'], rows.join('\n'))
    const answers = out
      .trim()
      .split('\n')
      .map((l) => JSON.parse(l) as { id: number | null; ok: boolean; error?: { code: string } })
    expect(status).toBe(0)
    expect(answers.map((a) => [a.id, a.ok])).toEqual([
      [1, true],
      [null, false],
      [3, false],
      [4, true],
    ])
    expect(answers[2]!.error!.code).toBe('unknown-verb')
  })
})
