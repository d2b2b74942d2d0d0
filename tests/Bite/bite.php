<?php

declare(strict_types=1);

/*
 * Do the tests bite? Each change of changes.php is made, its tests are run, and the file is put back as it was.
 *   php tests/Bite/bite.php             all
 *   php tests/Bite/bite.php frost       those whose name holds the word
 * Exit 0: each was noticed. 1: some went unnoticed, or a line is not there any more.
 */
$root = dirname(__DIR__, 2);
$word = $argv[1] ?? '';
$missed = 0;
/** @var list<array{string, string, string, string, string}> $changes */
$changes = require __DIR__.'/changes.php';
foreach ($changes as [$what, $file, $is, $changed, $tests]) {
    if (!str_contains($what, $word)) {
        continue;
    }
    $path = $root.'/'.$file;
    $whole = (string) file_get_contents($path);
    if (1 !== substr_count($whole, $is)) {
        printf("gone      %s: %d times in %s\n", $what, substr_count($whole, $is), $file);
        ++$missed;
        continue;
    }
    try {
        file_put_contents($path, str_replace($is, $changed, $whole));
        exec(sprintf('cd %s && php -d memory_limit=1G vendor/bin/phpunit --no-progress --stop-on-defect --filter %s 2>&1',
            escapeshellarg($root), escapeshellarg($tests)), $told, $code);
    } finally {
        file_put_contents($path, $whole);
    }
    $isNoticed = 0 !== $code && [] !== preg_grep('/^(FAILURES!|ERRORS!)/', $told);
    printf("%s %s\n", $isNoticed ? 'noticed  ' : 'UNNOTICED', $what);
    $missed += (int) !$isNoticed;
    $told = [];
}
exit($missed > 0 ? 1 : 0);
