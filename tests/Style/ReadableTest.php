<?php

declare(strict_types=1);

use PhpParser\Node;
use PhpParser\Node\Expr;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;

/* How the code reads: what a person can see without moving sideways, one thing said at a time. */

/** Lists of words, colors and units: data, a word or two a line, where a line is as long as its list. */
const WORD_LISTS = [
    'core/Color/catalog-names.php',
    'core/Color/css-names.php',
    'core/Color/pigment-names.php',
    'core/LookAlike/data/',
    'core/Quantity/unit-names.php',
    'core/Quantity/units.php',
    'core/Text/spelling-variants.php',
];

/** @return list<string> files of the project with one of these endings, word lists aside */
function sources(string ...$endings): array
{
    $root = dirname(__DIR__, 2);
    $all = explode("\n", trim((string) shell_exec('git -C '.escapeshellarg($root).' ls-files --cached --others --exclude-standard')));
    $kept = array_filter($all, function (string $file) use ($endings, $root): bool {
        $isList = array_filter(WORD_LISTS, fn (string $list): bool => str_starts_with($file, $list)) !== [];
        $isBuilt = str_starts_with($file, 'public/build/');

        return ! $isList && ! $isBuilt && in_array(pathinfo($file, PATHINFO_EXTENSION), $endings, true) && is_file("{$root}/{$file}");
    });

    return array_map(fn (string $file): string => "{$root}/{$file}", array_values($kept));
}

/** @return list<string> file and line of what was found in PHP files */
function found(Closure $isMeant): array
{
    $parser = (new ParserFactory)->createForHostVersion();
    $places = [];
    foreach (sources('php') as $file) {
        if (str_ends_with($file, '.blade.php')) {
            continue;
        }
        $ast = $parser->parse((string) file_get_contents($file)) ?? [];
        foreach ((new NodeFinder)->find($ast, $isMeant) as $node) {
            $places[] = "{$file}:{$node->getStartLine()}";
        }
    }

    return $places;
}

test('no line is longer than 140 columns', function (): void {
    $long = [];
    foreach (sources('php', 'js', 'mjs', 'css') as $file) {
        foreach (file($file) ?: [] as $i => $line) {
            if (mb_strlen(rtrim($line)) > 140) {
                $long[] = "{$file}:".($i + 1);
            }
        }
    }
    expect($long)->toBe([]);
});

test('a long regular expression has a name, with an example beside it', function (): void {
    $isLong = fn (Node $node): bool => $node instanceof Node\Scalar\String_ && strlen($node->value) > 40;
    $unnamed = found(fn (Node $node): bool => $node instanceof Expr\FuncCall &&
        preg_match('/^preg_(?!quote)/', $node->name instanceof Node\Name ? $node->name->toString() : '') === 1 &&
        $node->args[0] instanceof Node\Arg &&
        (new NodeFinder)->findFirst($node->args[0], $isLong) !== null);
    // In tests they say what is looked for on one page.
    expect(array_values(array_filter($unnamed, fn (string $place): bool => ! str_contains($place, '/tests/'))))->toBe([]);
});

test('no conditional is used as a statement', function (): void {
    $conditionals = [
        Expr\Ternary::class,
        Expr\BinaryOp\BooleanAnd::class,
        Expr\BinaryOp\BooleanOr::class,
        Expr\BinaryOp\LogicalAnd::class,
        Expr\BinaryOp\LogicalOr::class,
        Expr\BinaryOp\Coalesce::class,
    ];
    $isOne = fn (Node $node): bool => $node instanceof Node\Stmt\Expression && in_array($node->expr::class, $conditionals, true);
    expect(found($isOne))->toBe([]);
});

test('an array of more than three entries with keys has one a line', function (): void {
    $isCrowded = function (Node $node): bool {
        if (! $node instanceof Expr\Array_ || count($node->items) <= 3) {
            return false;
        }
        $lines = [];
        foreach ($node->items as $item) {
            if ($item->key === null) {
                return false;
            }
            $lines[] = $item->getStartLine();
        }

        return count(array_unique($lines)) < count($lines);
    };
    expect(found($isCrowded))->toBe([]);
});

test('files of tests, which one process may read all of, name nothing twice', function (): void {
    $names = [];
    foreach (sources('php') as $file) {
        if (str_contains($file, '/tests/')) {
            preg_match_all('/^(?:const|function) (\w+)/m', (string) file_get_contents($file), $found);
            $names = [...$names, ...$found[1]];
        }
    }
    expect(array_keys(array_filter(array_count_values($names), fn (int $times): bool => $times > 1)))->toBe([]);
});

test('every PHP file is one, strictly typed', function (): void {
    $isSound = fn (string $file): bool => str_ends_with($file, '.blade.php') ||
        preg_match('/\A(?:#![^\n]*\n)?<\?php\n\ndeclare\(strict_types=1\);\n/', (string) file_get_contents($file)) === 1;
    expect(array_values(array_filter(sources('php'), fn (string $file): bool => ! $isSound($file))))->toBe([]);
});

test('every public method of the core that is more than a getter says what it takes, gives and refuses', function (): void {
    $isSaidElsewhere = function (ReflectionMethod $method): bool {
        $class = $method->getDeclaringClass();
        $ofInterface = array_filter($class->getInterfaces(), fn (ReflectionClass $one): bool => $one->hasMethod($method->getName()));

        return $ofInterface !== [] || $class->isSubclassOf(Exception::class) || str_starts_with($method->getName(), '__');
    };
    $isGetter = fn (ReflectionMethod $method): bool => $method->getNumberOfParameters() === 0 &&
        ($method->getEndLine() - $method->getStartLine() <= 4 || $method->getName() === 'label');
    $silent = [];
    foreach (sources('php') as $file) {
        $class = 'Lokum\\'.str_replace('/', '\\', substr($file, strlen(dirname(__DIR__, 2).'/core/'), -4));
        if (! str_contains($file, '/core/') || ! (class_exists($class) || interface_exists($class) || enum_exists($class))) {
            continue;
        }
        foreach ((new ReflectionClass($class))->getMethods(ReflectionMethod::IS_PUBLIC) as $method) {
            $isOwn = $method->getDeclaringClass()->getName() === $class && $method->isUserDefined();
            if ($isOwn && $method->getDocComment() === false && ! $isSaidElsewhere($method) && ! $isGetter($method)) {
                $silent[] = "{$class}::{$method->getName()}";
            }
        }
    }
    expect($silent)->toBe([]);
});
