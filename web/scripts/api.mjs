// Writes the pages' types of the API from what the server says of itself. node scripts/api.mjs [FILE]
import { writeFileSync } from 'node:fs';
import openapiTS, { astToString } from 'openapi-typescript';
import ts from 'typescript';

// A file that is sent as it is.
const blob = ts.factory.createTypeReferenceNode('Blob');
const ast = await openapiTS(new URL('../openapi.json', import.meta.url), {
  transform: (schema) => (schema.format === 'binary' ? blob : undefined),
});
const { format, resolveConfig } = await import('prettier');
const file = process.argv[2] ?? new URL('../src/shared/schema.d.ts', import.meta.url).pathname;
const style = await resolveConfig(new URL('../src/shared/schema.d.ts', import.meta.url).pathname);
const head = '// Written from openapi.json by scripts/api.mjs; not by hand.\n\n';
writeFileSync(file, await format(head + astToString(ast), { ...style, parser: 'typescript' }));
