// Reads {turtle, jsonld} and answers with both as sorted N-Quads: n3 parses the one, jsonld the other.
import n3 from 'n3';
import jsonld from 'jsonld';
import { readFileSync } from 'node:fs';

const { turtle, jsonld: document } = JSON.parse(readFileSync(0, 'utf8'));
const tag = (one) => (one.language ? `@${one.language}` : '');
const term = (one) => (one.termType === 'NamedNode' ? `<${one.value}>` : JSON.stringify(one.value) + tag(one));
const quads = (list) => list.map((quad) => [term(quad.subject), term(quad.predicate), term(quad.object)].join(' ')).sort();
const other = new n3.Parser({ format: 'N-Quads' }).parse(
    await jsonld.toRDF(JSON.parse(document), { format: 'application/n-quads' }),
);
console.log(JSON.stringify({ turtle: quads(new n3.Parser().parse(turtle)), jsonld: quads(other) }));
