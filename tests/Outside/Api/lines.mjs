// Holds each line of an edition against its schema; answers with what does not fit.
import Ajv from 'ajv/dist/2020.js';
import { readFileSync } from 'node:fs';

const ajv = new Ajv({ allErrors: true, allowUnionTypes: true });
const schema = JSON.parse(readFileSync(new URL('../../../docs/edition-lines.schema.json', import.meta.url), 'utf8'));
// Each kind of line by itself, so that what does not fit is named and not "none of eight".
const checks = Object.fromEntries(
    Object.values(schema.$defs).map((one) => [one.properties.type.const, ajv.compile({ ...one, $id: one.properties.type.const })]),
);
const problems = readFileSync(0, 'utf8')
    .trimEnd()
    .split('\n')
    .flatMap((line, i) => {
        const document = JSON.parse(line);
        const check = checks[document.type];
        if (!check) return [`line ${i + 1}: no such type`];

        return check(document) ? [] : check.errors.map((error) => `line ${i + 1}${error.instancePath} ${error.message}`);
    });
process.stdout.write(JSON.stringify(problems));
