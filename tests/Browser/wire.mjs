// A wire between the browser and the server that a test can cut: a plain HTTP proxy that passes requests on until it is ended.
import { createServer, request } from 'node:http';

createServer((asked, answer) => {
  const onward = request(asked.url, { method: asked.method, headers: asked.headers }, (got) => {
    answer.writeHead(got.statusCode ?? 502, got.rawHeaders);
    got.pipe(answer);
  });
  onward.on('error', () => answer.destroy());
  asked.pipe(onward);
}).listen(Number(process.argv[2]), '127.0.0.1', () => process.stdout.write('ready\n'));
