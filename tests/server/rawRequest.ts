import { connect } from 'node:net'

type Raw = { method?: string; path: string; headers?: Record<string, string> }

/** A request written byte by byte: what a tidy client would put right goes out as it is. */
export function rawRequest(port: number, { method = 'GET', path, headers = {} }: Raw): Promise<{ status: number; body: string }> {
  const lines = Object.entries({ Host: `127.0.0.1:${port}`, ...headers, Connection: 'close' }).map(
    ([name, value]) => `${name}: ${value}`,
  )
  return new Promise((resolve, reject) => {
    let answer = ''
    const socket = connect(port, '127.0.0.1', () => socket.write(`${method} ${path} HTTP/1.1\r\n${lines.join('\r\n')}\r\n\r\n`))
    socket.on('data', (chunk) => {
      answer += String(chunk)
    })
    socket.once('error', reject)
    socket.once('close', () =>
      resolve({ status: Number(answer.split(' ')[1]), body: answer.split('\r\n\r\n').slice(1).join('\r\n\r\n') }),
    )
  })
}
