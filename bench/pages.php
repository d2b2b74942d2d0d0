<?php

declare(strict_types=1);

/* Times pages of a running demo over HTTP, as multiples of the reference loop. PORT=8000 php bench/pages.php */

require __DIR__.'/reference.php';

$base = 'http://127.0.0.1:'.(getenv('PORT') ?: '8000');
$cookies = [];
$ask = static function (string $path, ?array $fields = null) use ($base, &$cookies): array {
    $headers = ['Cookie: '.implode('; ', array_map(static fn (string $k, string $v): string => $k.'='.$v, array_keys($cookies),
        $cookies)), 'Accept-Encoding: gzip'];
    if (null !== $fields) {
        $headers[] = 'Content-Type: application/x-www-form-urlencoded';
    }
    $start = hrtime(true);
    $body = (string) file_get_contents($base.$path, false, stream_context_create(['http' => ['method' => null === $fields ? 'GET'
        : 'POST', 'header' => $headers, 'content' => http_build_query($fields ?? []), 'follow_location' => 0, 'ignore_errors' => true]]));
    $time = (hrtime(true) - $start) / 1e9;
    $location = null;
    foreach ($http_response_header as $line) {
        if (1 === preg_match('/^Set-Cookie: ([^=]+)=([^;]*)/i', $line, $m)) {
            $cookies[$m[1]] = $m[2];
        }
        $location = 1 === preg_match('/^Location: (.*)$/i', $line, $m) ? $m[1] : $location;
    }

    return [$body, $time, $location];
};
$plain = static fn (string $body): string => "\x1f\x8b" === substr($body, 0, 2) ? (string) gzdecode($body) : $body;
preg_match('/name="_csrf_token" value="([^"]+)"/', $plain($ask('/sign-in')[0]), $token);
$ask('/sign-in', ['email' => 'demo@larkspur-hollow.example', 'password' => 'furrow-by-furrow', '_csrf_token' => $token[1] ?? '']);
preg_match('#/g/[^/]+#', (string) $ask('/')[2], $garden);
preg_match_all('#/planting/([0-9a-f-]{36})#', $plain($ask(($garden[0] ?? '').'/wall')[0]), $plantings);
$last = end($plantings[1]);
foreach (['wall', 'standing', 'bed/A1', 'plan', 'promises?outlet=stall', 'season',
    'forward?try=1&crop=lettuce-leaf&where=block:B&method=&every=10&size=quarter&length=&from=2026-08-15&until=2026-09-20',
    'planting/'.$last.'/change?do=length&try=1&length=3', 'beds', 'crops', 'crops/carrot',
    'crops/cauliflower/ladder?day=2026-07-21&place=field', 'crops/cauliflower/ladder?day=2026-07-21&place=field&schools=1',
    'bed/A8/cover?cover=low-tunnel&purpose=growth&from=2026-08-20&to=2026-10-20', 'ahead', 'week', 'week?on=1', 'week/sheet', 'week/back',
    'nursery', 'seed', 'bed/A6/free', 'recipes', 'rules', 'rules/cost', 'plan/mend/kale', 'plan/mend/lettuce-leaf', 'planting/'.$last,
    'members', 'log'] as $page) {
    $times = [];
    $bytes = 0;
    $before = reference_loop();
    for ($i = 0; $i < 9; ++$i) {
        [$body, $times[]] = $ask(($garden[0] ?? '').'/'.$page);
        $bytes = strlen($body);
    }
    printf("%-24.24s %.3f loops  %3d kB gzipped\n", $page, 2 * median($times) / ($before + reference_loop()), intdiv($bytes, 1024));
}
// Practice: a week is worked and measured by the crew and the station, and saved as one change; then all of it is taken back.
$times = [];
$before = reference_loop();
for ($i = 0; $i < 5; ++$i) {
    preg_match('/name="_token" value="([^"]+)"/', $plain($ask(($garden[0] ?? '').'/log')[0]), $token);
    [, $times[]] = $ask(($garden[0] ?? '').'/practice/next-week', ['_token' => $token[1] ?? '']);
}
printf("%-24.24s %.3f loops\n", 'practice/next-week', 2 * median($times) / ($before + reference_loop()));
preg_match('/name="_token" value="([^"]+)"/', $plain($ask(($garden[0] ?? '').'/log')[0]), $token);
$ask(($garden[0] ?? '').'/practice/start-over', ['_token' => $token[1] ?? '']);
