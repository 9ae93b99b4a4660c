/**
 * Loaded into the server's process before Next is: what Next itself falls over is answered here, with a page of ours and
 * the headers that every answer has. Addresses that can't be decoded, and TRACE.
 */
import http from 'node:http';

const HEADERS = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'no-referrer',
  'x-frame-options': 'DENY',
  'content-security-policy': "default-src 'none'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'",
};
/** The servers that Next has made. */
export const servers = [];
const { createServer } = http;

http.createServer = (...given) => {
  const server = createServer(...given);
  servers.push(server);
  const { emit } = server;
  server.emit = function (event, ...rest) {
    return (event === 'request' && refuse(...rest)) || emit.call(this, event, ...rest);
  };
  return server;
};

/** Answers what can't go on to Next. @returns whether it did. */
function refuse(request, response) {
  const why =
    request.method === 'TRACE'
      ? [405, 'Gray Pin does not answer to TRACE.']
      : decodes(request.url)
        ? null
        : [400, 'This address is written wrongly, so nothing is found under it.'];
  if (why === null) return false;
  const [status, message] = why;
  const isPage = !request.url.startsWith('/api/') && status === 400;
  response.writeHead(status, {
    ...HEADERS,
    'content-type': `${isPage ? 'text/html' : 'application/json'}; charset=utf-8`,
  });
  response.end(
    isPage
      ? `<!doctype html><html lang="en"><title>Nothing here · Gray Pin</title><h1>Nothing here</h1><p>${message}</p><p><a href="/shelf">To the Shelf</a></p></html>`
      : JSON.stringify({ error: { code: 'not valid', message } }),
  );
  return true;
}

function decodes(url) {
  try {
    decodeURIComponent(url.split('?')[0]);
    return true;
  } catch {
    return false;
  }
}
