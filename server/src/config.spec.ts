import { describe, expect, it } from 'vitest'
import { readConfig } from './config'
import request from 'supertest'
import { makeBed } from './testing'
import { describeRoutes } from './http/openapi'
import { routes } from './resources'

describe('readConfig', () => {
  it('has usual values on this machine only', () => {
    const config = readConfig({})
    expect(config).toMatchObject({ host: '127.0.0.1', port: 4300, logLevel: 'info' })
    expect(config.dataFolder).toMatch(/data$/)
  })

  it('takes the environment', () => {
    expect(readConfig({ CRESCENT_PORT: '0', CRESCENT_DATA: '/srv/shoes' })).toMatchObject({
      port: 0,
      dataFolder: '/srv/shoes',
    })
  })

  it('believes only proxies that are named by their addresses', () => {
    expect(readConfig({ CRESCENT_PROXY: '127.0.0.1, 10.0.0.0/8,::1' }).proxy).toEqual([
      '127.0.0.1',
      '10.0.0.0/8',
      '::1',
    ])
    for (const wrong of ['proxy.local', '10.0.0.0/33', '10.0.0', 'true', '1.2.3.4/8/9'])
      expect(() => readConfig({ CRESCENT_PROXY: wrong })).toThrow(/is no address like/)
  })

  it('takes what is set to nothing as not set', () => {
    expect(readConfig({ CRESCENT_HOST: '', CRESCENT_PORT: ' ' })).toMatchObject({
      host: '127.0.0.1',
      port: 4300,
    })
  })

  it.each(['0.0.0.0', '::', '192.168.1.20', 'barn.local'])(
    'does not listen at %s without a password',
    (host) => {
      expect(() => readConfig({ CRESCENT_HOST: host })).toThrow('set CRESCENT_PASSWORD')
      expect(() => readConfig({ CRESCENT_HOST: host, CRESCENT_PASSWORD: 'short' })).toThrow('at least 8')
      expect(readConfig({ CRESCENT_HOST: host, CRESCENT_PASSWORD: 'long enough' })).toMatchObject({ host })
    },
  )

  it.each(['localhost', '127.0.0.1', '127.8.0.1', '::1'])('needs none at %s', (host) => {
    expect(readConfig({ CRESCENT_HOST: host }).password).toBeUndefined()
  })

  it('refuses an origin that is no address', () => {
    expect(() => readConfig({ CRESCENT_ORIGIN: 'barn' })).toThrow('is no address')
    expect(readConfig({ CRESCENT_ORIGIN: 'http://barn.local:4300' }).origin?.host).toBe('barn.local:4300')
  })

  it.each(['http', '70000', '-1', '43.5'])('refuses the port %s and says the range', (port) => {
    expect(() => readConfig({ CRESCENT_PORT: port })).toThrow('between 0 and 65535')
  })
})

describe('describeRoutes', () => {
  const described = describeRoutes(routes) as {
    paths: Record<string, Record<string, { summary: string; parameters: { name: string; in: string }[] }>>
  }

  it('tells of the ways in, which are answered before all others', async () => {
    const bed = makeBed()
    const { body } = await request(bed.app).get('/api/openapi.json').expect(200)
    const { paths } = body as typeof described
    expect(Object.keys(paths['/api/session']!)).toEqual(['get', 'post'])
    expect(paths['/api/plan']).toBeDefined()
    bed.remove()
  })

  it('has every route once, each with its place in the address', () => {
    const count = Object.values(described.paths).reduce(
      (sum, methods) => sum + Object.keys(methods).length,
      0,
    )
    expect(count).toBe(routes.length)
    const versions = described.paths['/api/patterns/{id}/versions']!['get']!
    expect(versions.parameters).toEqual([expect.objectContaining({ name: 'id', in: 'path' })])
    for (const methods of Object.values(described.paths)) {
      for (const route of Object.values(methods)) expect(route.summary.length).toBeGreaterThan(5)
    }
  })
})
