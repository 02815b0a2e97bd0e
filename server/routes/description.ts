import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { Router } from 'express';
import { API_BASE } from '#api';
import { openApi } from '#api/openapi';

const PAGE = `<!doctype html>
<html lang="en">
  <head>
    <meta charset="utf-8" />
    <meta name="viewport" content="width=device-width, initial-scale=1" />
    <title>The Zovrin API</title>
    <script type="module" src="${API_BASE}/docs/page.js"></script>
  </head>
  <body>
    <rapi-doc spec-url="${API_BASE}/openapi.json" render-style="read" show-header="false" allow-server-selection="false"
      allow-authentication="false" load-fonts="false" theme="light"
      primary-color="#1d5c4d" nav-bg-color="#eef2ea" nav-text-color="#22302b" nav-hover-bg-color="#dde6d8"></rapi-doc>
  </body>
</html>
`;

/** The description of the API, and a page to read and try it. */
export function descriptionRoutes(): Router {
  const routes = Router();
  let text: string | undefined;
  let script: Buffer | undefined;

  routes.get('/openapi.json', (_request, response) => {
    text ??= JSON.stringify(openApi());
    response.type('json').send(text);
  });
  routes.get('/docs', (_request, response) => {
    response.type('html').send(PAGE);
  });
  routes.get('/docs/page.js', (_request, response) => {
    script ??= readFileSync(createRequire(import.meta.url).resolve('rapidoc/dist/rapidoc-min.js'));
    response.type('text/javascript').send(script);
  });

  return routes;
}
