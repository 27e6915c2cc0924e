<?php

/*
 * Breaks the core on purpose, a seeded sample of ways, and says which breaks no test of the core sees:
 *
 *   php perf/mutations.php [N] [SEED] [PROCESSES] [ROOM...]
 *
 * The mutants are those of Pest's own plugin over the rooms named, or those below; each is run against the test files that come by its
 * lines, the quickest first, until one fails. Needs pcov. Not a part of the tests: it takes most of an hour.
 */

use Pest\Mutate\Cache\NullStore;
use Pest\Mutate\Mutation;
use Pest\Mutate\Mutators\Sets\DefaultSet;
use Pest\Mutate\Plugins\Mutate;
use Pest\Mutate\Support\FileFinder;
use Pest\Mutate\Support\MutationGenerator;
use Pest\Support\Container;
use Psr\SimpleCache\CacheInterface;
use Symfony\Component\Process\Process;

require dirname(__DIR__).'/vendor/autoload.php';

const ROOMS = ['Caution', 'Keeping', 'Infusion', 'Warmth', 'Vessel', 'Measure'];

$root = dirname(__DIR__);
[$many, $seed, $processes] = [(int) ($argv[1] ?? 400), (int) ($argv[2] ?? 1), (int) ($argv[3] ?? 2)];
$rooms = array_slice($argv, 4) ?: ROOMS;
foreach ($rooms as $room) {
    is_dir("{$root}/core/{$room}") || exit("There is no room “{$room}” in core/.\n");
}
$out = "{$root}/var/bench";
is_dir($out) || mkdir($out, 0o755, true);
@mkdir("{$root}/vendor/pestphp/pest-plugin-mutate/.temp/mutations", 0o755, true);

/** Whether nothing was changed since what the tests come by was seen. */
function fresh(string $root, string $seen): bool
{
    if (! is_file($seen)) {
        return false;
    }
    foreach (['core', 'data', 'tests/Core', 'tests/fixtures'] as $folder) {
        foreach (
            new RecursiveIteratorIterator(new RecursiveDirectoryIterator("{$root}/{$folder}", FilesystemIterator::SKIP_DOTS)) as $file
        ) {
            if ($file instanceof SplFileInfo && $file->getMTime() > filemtime($seen)) {
                return false;
            }
        }
    }

    return true;
}

/** @return array{array<string, array<int, list<string>>>, array<string, float>} test files by file and line, and how long each takes, s */
function covered(string $root, string $out): array
{
    $process = new Process(
        [
            PHP_BINARY,
            '-d',
            'pcov.enabled=1',
            '-d',
            'pcov.directory='.$root.'/core',
            '-d',
            'memory_limit=3G',
            'vendor/bin/pest',
            '--testsuite=Core',
            '--coverage-php='.$out.'/coverage.php',
            '--log-junit='.$out.'/junit.xml',
            '--colors=never',
        ],
        $root,
        timeout: 3600,
    );
    if (! fresh($root, $out.'/coverage.php')) {
        $process->mustRun();
    }
    /** @var SebastianBergmann\CodeCoverage\CodeCoverage $coverage */
    $coverage = require $out.'/coverage.php';
    $lines = [];
    foreach ($coverage->getData()->lineCoverage() as $file => $byLine) {
        foreach ($byLine as $line => $tests) {
            foreach ($tests ?? [] as $test) {
                if (preg_match('/^P?\\\\?Tests\\\\Core\\\\(\w+)::/', str_replace('P\\Tests', 'Tests', $test), $m) === 1) {
                    $lines[$file][$line][$m[1]] = true;
                }
            }
        }
    }
    $seconds = [];
    // Long names of tests are cut in it wherever that falls, in the middle of a letter too.
    $junit = new SimpleXMLElement(mb_scrub((string) file_get_contents($out.'/junit.xml'), 'UTF-8'));
    foreach ($junit->xpath('//testsuite[@file]') ?: [] as $suite) {
        $name = basename(explode('::', (string) $suite['file'])[0], '.php');
        $seconds[$name] = max($seconds[$name] ?? 0.0, (float) $suite['time']);
    }

    return [array_map(fn (array $byLine) => array_map(fn (array $names) => array_keys($names), $byLine), $lines), $seconds];
}

fwrite(STDERR, "What the tests come by.\n");
[$lines, $seconds] = covered($root, $out);
fwrite(STDERR, "What can be broken.\n");
Container::getInstance()->add(CacheInterface::class, new NullStore());
$generator = new MutationGenerator();
$all = [];
foreach ($rooms as $room) {
    foreach (FileFinder::files(["{$root}/core/{$room}"], []) as $file) {
        array_push($all, ...$generator->generate($file, DefaultSet::mutators()));
    }
}
usort($all, fn (Mutation $a, Mutation $b) => $a->id <=> $b->id);
mt_srand($seed);
$picked = [];
foreach ((array) array_rand(array_flip(range(0, count($all) - 1)), min($many, count($all))) as $at) {
    $picked[] = $all[$at];
}
fwrite(STDERR, sprintf("%d of %d.\n", count($picked), count($all)));

/** @return list<string> the test files that come by a mutant, the quickest first */
$tests = function (Mutation $mutation, Closure $of) use ($lines, $seconds): array {
    $names = [];
    $file = $lines[$mutation->file->getRealPath()] ?? [];
    $own = array_intersect_key($file, array_flip(range($mutation->startLine, $mutation->endLine)));
    // Nothing comes by the line of a constant: who comes by its class is asked.
    foreach ($own ?: $file as $line) {
        foreach ($line as $name) {
            $names[$name] = $seconds[$name] ?? 0.0;
        }
    }
    $names = array_filter($names, $of);
    asort($names);

    return array_map(fn (string $name) => "tests/Core/{$name}.php", array_keys($names));
};
$told = fn (Mutation $mutation): string => sprintf(
    "%s:%d %s\n%s\n",
    str_replace($root.'/', '', (string) $mutation->file->getRealPath()),
    $mutation->startLine,
    basename(str_replace('\\', '/', $mutation->mutator)),
    preg_replace('/<[^>]*>/', '', $mutation->diff),
);
/** What takes longer than this by itself is asked only of what the others left over, s. */
const SLOW_S = 3.0;

$left = $picked;
$killed = $late = 0;
foreach ([fn (float $s): bool => $s <= SLOW_S, fn (float $s): bool => $s > SLOW_S] as $round => $of) {
    [$running, $over] = [[], []];
    $settle = function () use (&$running, &$over, &$killed, &$late): void {
        foreach ($running as $i => [$mutation, $process]) {
            try {
                $process->checkTimeout();
            } catch (Symfony\Component\Process\Exception\ProcessTimedOutException) {
                // What goes round for ever is seen.
                $late++;
                unset($running[$i]);

                continue;
            }
            if (! $process->isRunning()) {
                $process->isSuccessful() ? ($over[] = $mutation) : $killed++;
                unset($running[$i]);
            }
        }
    };
    foreach ($left as $n => $mutation) {
        $files = $tests($mutation, $of);
        if ($files === []) {
            $over[] = $mutation;

            continue;
        }
        while (count($running) >= $processes) {
            $settle();
            usleep(20_000);
        }
        $process = new Process(
            [PHP_BINARY, 'vendor/bin/pest', ...$files, '--bail', '--colors=never'],
            $root,
            [Mutate::ENV_MUTATION_TESTING => $mutation->file->getRealPath(), Mutate::ENV_MUTATION_FILE => $mutation->modifiedSourcePath],
            timeout: 240,
        );
        $process->disableOutput();
        $process->start();
        $running[] = [$mutation, $process];
        $n % 20 === 19 &&
            fwrite(STDERR, sprintf("%s: %d, %d left over\n", $round === 0 ? 'quick tests' : 'slow tests', $n + 1, count($over)));
    }
    while ($running !== []) {
        $settle();
        usleep(20_000);
    }
    $left = $over;
    file_put_contents("{$out}/left-{$round}.txt", implode('', array_map($told, $left)));
}
printf(
    "%d of %d mutants killed (%d of them by going on for ever), %.1f %%. Seed %d, %d mutants in all.\n\n",
    $killed + $late,
    count($picked),
    $late,
    (100 * ($killed + $late)) / max(1, count($picked)),
    $seed,
    count($all),
);
echo implode('', array_map($told, $left));
