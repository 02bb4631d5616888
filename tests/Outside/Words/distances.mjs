// Damerau-Levenshtein (restricted) and Jaro-Winkler by talisman: pairs of words in, pairs of numbers out.
import { createRequire } from 'node:module';
import { readFileSync } from 'node:fs';

const require = createRequire(import.meta.url);
const edits = require('talisman/metrics/damerau-levenshtein');
const winkler = require('talisman/metrics/jaro-winkler');
const run = (metric) => metric.default ?? metric;
console.log(JSON.stringify(JSON.parse(readFileSync(0, 'utf8')).map(([a, b]) => [run(edits)(a, b), run(winkler)(a, b)])));
