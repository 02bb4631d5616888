// Converts with @lhncbc/ucum-lhc: [[number, from, to], …] on standard input, numbers or reasons out.
import { createRequire } from 'node:module';
import { readFileSync } from 'node:fs';

const { UcumLhcUtils } = createRequire(import.meta.url)('@lhncbc/ucum-lhc');
const utils = UcumLhcUtils.getInstance();
const asked = JSON.parse(readFileSync(0, 'utf8'));
console.log(
    JSON.stringify(
        asked.map(([number, from, to]) => {
            const answer = utils.convertUnitTo(from, number, to);
            return answer.status === 'succeeded' ? answer.toVal : answer.msg.join(' ');
        }),
    ),
);
