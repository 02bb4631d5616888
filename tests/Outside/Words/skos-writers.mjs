// Reads N-Quads and answers with the same as other programs write it: Turtle by n3, with and without prefixes, JSON-LD by jsonld,
// expanded and compacted.
import n3 from 'n3';
import jsonld from 'jsonld';
import { readFileSync } from 'node:fs';

const text = readFileSync(0, 'utf8');
const quads = new n3.Parser({ format: 'N-Quads' }).parse(text);
const context = { skos: 'http://www.w3.org/2004/02/skos/core#' };
const turtle = (prefixes) =>
    new Promise((resolve, reject) => {
        const writer = new n3.Writer({ prefixes });
        writer.addQuads(quads);
        writer.end((error, result) => (error ? reject(error) : resolve(result)));
    });
const expanded = await jsonld.fromRDF(text, { format: 'application/n-quads' });
console.log(
    JSON.stringify({
        prefixed: await turtle(context),
        plain: await turtle({}),
        expanded: JSON.stringify(expanded),
        compacted: JSON.stringify(await jsonld.compact(expanded, { '@context': context })),
        named: JSON.stringify(await jsonld.compact(expanded, { '@context': { '@vocab': context.skos } })),
    }),
);
