// Holds documents against the schemas of an OpenAPI description; answers with what does not fit.
import Ajv from 'ajv/dist/2020.js';
import { readFileSync } from 'node:fs';

const { description, answers } = JSON.parse(readFileSync(0, 'utf8'));
const ajv = new Ajv({ strict: false, allErrors: true });
ajv.addSchema({ $id: 'api', ...description });
const problems = answers.flatMap(({ path, schema, document }) => {
    const check = ajv.compile({ $ref: `api#${schema}` });
    return check(document) ? [] : check.errors.map((error) => `${path}${error.instancePath} ${error.message}`);
});
process.stdout.write(JSON.stringify(problems));
