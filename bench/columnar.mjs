// Counts a page in a columnar engine, in the ways that its manual offers, and says the best time of several and the counts.
// node bench/columnar.mjs FILE.csv: a row for each variant, its product and the number of its term in each filter; picks as JSON.
import { DuckDBInstance } from '@duckdb/node-api';

const [file, picksJson, times] = process.argv.slice(2);
const picks = JSON.parse(picksJson);
const filters = Object.keys(picks).map(Number);
const connection = await (await DuckDBInstance.create(':memory:')).connect();
const column = (place) => `column${String(place).padStart(2, '0')}`;
await connection.run(
    `CREATE TABLE variants AS SELECT ${column(0)}::INTEGER AS product, ` +
        filters.map((f) => `${column(f + 1)}::USMALLINT AS f${f}`).join(', ') +
        ` FROM read_csv('${file}', header = false)`,
);

const narrowed = (f) =>
    filters
        .filter((g) => g !== f && picks[g].length > 0)
        .map((g) => `f${g} IN (${picks[g].join(',')})`)
        .join(' AND ') || 'true';
const single = (f) =>
    `SELECT ${f} AS filter, f${f} AS term, COUNT(DISTINCT product) AS products FROM variants ` +
    `WHERE f${f} IS NOT NULL AND ${narrowed(f)} GROUP BY f${f}`;
const free = filters.filter((f) => picks[f].length === 0);
const together =
    `SELECT CASE ${free.map((f) => `WHEN GROUPING(f${f}) = 0 THEN ${f}`).join(' ')} END AS filter, ` +
    `coalesce(${free.map((f) => `f${f}`).join(', ')}) AS term, COUNT(DISTINCT product) AS products FROM variants ` +
    `WHERE ${narrowed(-1)} GROUP BY GROUPING SETS (${free.map((f) => `(f${f})`).join(', ')})`;
const picked = filters.filter((f) => picks[f].length > 0);
const ways = {
    'one query of a part for each filter': [filters.map(single).join(' UNION ALL ')],
    'one query with grouping sets': [
        [...picked.map(single), `SELECT * FROM (${together}) WHERE term IS NOT NULL`].join(' UNION ALL '),
    ],
    'a query for each filter': filters.map(single),
};

const answer = { best: Infinity };
for (const [way, queries] of Object.entries(ways)) {
    for (let i = 0; i < Number(times); i++) {
        const start = performance.now();
        const rows = [];
        for (const query of queries) {
            rows.push(...(await connection.runAndReadAll(query)).getRows());
        }
        const taken = performance.now() - start;
        if (taken < answer.best) {
            answer.best = taken;
            answer.way = way;
        }
        answer.counts = rows.map((row) => row.map(Number));
    }
}
console.log(JSON.stringify(answer));
