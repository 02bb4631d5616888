// Builds what browsers load: public/build/app.js, app.css and fonts. Run with `npm run build`; the result is committed.
import { execFileSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { copyFileSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { build } from 'esbuild';

const out = 'public/build';
mkdirSync(`${out}/fonts`, { recursive: true });

await build({
    entryPoints: ['resources/js/app.js'],
    bundle: true,
    minify: true,
    format: 'iife',
    target: 'es2022',
    outfile: `${out}/app.js`,
    legalComments: 'none',
});
execFileSync('node_modules/.bin/tailwindcss', ['-i', 'resources/css/app.css', '-o', `${out}/app.css`, '--minify'], {
    stdio: 'inherit',
});

const fonts = {
    'bricolage-grotesque': ['bricolage-grotesque', 'bricolage-grotesque-latin', '-wght-normal'],
    'atkinson-next': ['atkinson-hyperlegible-next', 'atkinson-hyperlegible-next-latin', '-wght-normal'],
    'atkinson-mono': ['atkinson-hyperlegible-mono', 'atkinson-hyperlegible-mono-latin', '-wght-normal'],
};
for (const [name, [family, file, axis]] of Object.entries(fonts)) {
    const from = `node_modules/@fontsource-variable/${family}/files`;
    copyFileSync(`${from}/${file}${axis}.woff2`, `${out}/fonts/${name}.woff2`);
    copyFileSync(`${from}/${file}-ext${axis}.woff2`, `${out}/fonts/${name}-ext.woff2`);
}

// The passwords that are tried first, most frequent first, as the package has counted them in lists that became public.
const { passwords } = createRequire(import.meta.url)('zxcvbn/lib/frequency_lists');
writeFileSync(
    'app/Access/common-passwords.txt',
    `${[]
        .concat(passwords)
        .filter((password) => password.length >= 5)
        .join('\n')}\n`,
);

// What is shipped carries the licenses it came with.
const shipped = [
    '@fontsource-variable/bricolage-grotesque',
    '@fontsource-variable/atkinson-hyperlegible-next',
    '@fontsource-variable/atkinson-hyperlegible-mono',
    'htmx.org',
    'idiomorph',
    '@alpinejs/csp',
    'sortablejs',
    'lucide-static',
    'tailwindcss',
    'zxcvbn',
];
const terms = shipped.map((name) => {
    const { version, license } = JSON.parse(readFileSync(`node_modules/${name}/package.json`));
    const file = readdirSync(`node_modules/${name}`).find((one) => /^licen[cs]e/i.test(one));
    return `${name} ${version} (${license})\n\n${file ? readFileSync(`node_modules/${name}/${file}`, 'utf8').trim() : ''}`;
});
writeFileSync(`${out}/licenses.txt`, `${terms.join('\n\n----\n\n')}\n`);

// The digest of all sources: a test compares it, so that nobody forgets to build.
const files = (folder) =>
    readdirSync(folder).flatMap((name) => {
        const path = join(folder, name);
        return statSync(path).isDirectory() ? files(path) : [path];
    });
const sources = [
    'resources/build.mjs',
    'package.json',
    ...files('resources/css'),
    ...files('resources/js'),
    ...files('resources/views'),
].sort();
const digest = createHash('sha256');
for (const path of sources) digest.update(`${path}\0`).update(readFileSync(path)).update('\0');
const hex = digest.digest('hex');
writeFileSync(`${out}/sources.json`, `${JSON.stringify({ sources: hex, version: hex.slice(0, 12) })}\n`);
