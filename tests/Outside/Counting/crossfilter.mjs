// Counts with crossfilter2: reads {"rows": [...], "questions": [{"picks": {field: [values]}}]} and answers, for each question,
// the number of rows that match and the count beside every value of every field, its own picks set aside.
import crossfilter from 'crossfilter2';

let text = '';
for await (const chunk of process.stdin) text += chunk;
const { rows, fields, ranges, questions } = JSON.parse(text);
const all = crossfilter(rows);
const dimensions = Object.fromEntries(
    [...fields, ...ranges].map((field) => [
        field,
        all.dimension((row) => row[field] ?? (fields.includes(field) ? '' : -Infinity)),
    ]),
);
const groups = Object.fromEntries(fields.map((field) => [field, dimensions[field].group()]));

process.stdout.write(
    JSON.stringify(
        questions.map(({ picks, range }) => {
            for (const field of [...fields, ...ranges]) dimensions[field].filterAll();
            for (const [field, values] of Object.entries(picks))
                dimensions[field].filterFunction((value) => values.includes(value));
            for (const [field, [from, to]] of Object.entries(range))
                dimensions[field].filterFunction((value) => value >= from && value <= to);
            return {
                count: all.groupAll().value(),
                counts: Object.fromEntries(
                    fields.map((field) => [
                        field,
                        Object.fromEntries(
                            groups[field]
                                .all()
                                .filter(({ key }) => key !== '')
                                .map(({ key, value }) => [key, value]),
                        ),
                    ]),
                ),
            };
        }),
    ),
);
