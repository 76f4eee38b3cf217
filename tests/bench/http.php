<?php

declare(strict_types=1);

/*
 * The main reads over HTTP, as a ratio to the bare health route of the same run: worked out anew each time, and asked
 * again while nothing changed (p50 of each, p95 of the first).
 */

$url = $argv[1] ?? 'http://127.0.0.1:8085';
$jar = (string) tempnam(sys_get_temp_dir(), 'jar');
$curl = curl_init();

/** @return array{int, float, string} status, milliseconds, body */
function fetch(
    CurlHandle $curl,
    string $jar,
    string $url,
    ?string $body = null,
    string $token = '',
    bool $anew = false,
): array {
    curl_setopt_array($curl, [
        CURLOPT_URL => $url,
        CURLOPT_RETURNTRANSFER => true,
        CURLOPT_COOKIEJAR => $jar,
        CURLOPT_COOKIEFILE => $jar,
        CURLOPT_CUSTOMREQUEST => $body === null ? 'GET' : 'POST',
        CURLOPT_POSTFIELDS => $body ?? '',
        CURLOPT_HTTPHEADER => [
            'Accept: application/json',
            'Content-Type: application/json',
            'Referer: ' . preg_replace('#(//[^/]+).*#', '$1', $url),
            "X-XSRF-TOKEN: {$token}",
            ...$anew ? ['Cache-Control: no-cache'] : [],
        ],
    ]);
    $start = hrtime(true);
    $answer = (string) curl_exec($curl);

    return [(int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE), (hrtime(true) - $start) / 1e6, $answer];
}

fetch($curl, $jar, "{$url}/sanctum/csrf-cookie");
curl_setopt($curl, CURLOPT_COOKIELIST, 'FLUSH');
preg_match('/XSRF-TOKEN\s+(\S+)/', (string) file_get_contents($jar), $found);
[$status] = fetch(
    $curl,
    $jar,
    "{$url}/api/v1/session",
    json_encode(['email' => 'ada@alderbrook.example', 'password' => 'thicket-demo']),
    rawurldecode($found[1] ?? ''),
);
if ($status !== 200) {
    fwrite(STDERR, "could not sign in ({$status})\n");
    exit(1);
}
$today = json_decode(fetch($curl, $jar, "{$url}/api/v1/today")[2], true);
$stand = array_values(array_filter($today['lines'], static fn(array $l): bool => $l['species'] === 'norway-maple'))[0][
    'id'
];
$reads = [
    '/health',
    '/today',
    '/grounds',
    "/stands/{$stand}",
    "/stands/{$stand}/board",
    "/stands/{$stand}/year",
    '/handbook',
];
if (isset($argv[2])) {
    // a page of the list, the far-off view, and a near one
    array_push(
        $reads,
        "/grounds/{$argv[2]}/patches?sort=area",
        "/grounds/{$argv[2]}/map",
        "/grounds/{$argv[2]}/map?box=-71.9,44.2,-71.88,44.21",
    );
}
$base = 1.0;
foreach ($reads as $path) {
    $times = ['anew' => [], 'again' => []];
    $bytes = 0;
    foreach ($times as $how => $_) {
        for ($i = 0; $i < 40; ++$i) {
            [$status, $time, $answer] = fetch($curl, $jar, "{$url}/api/v1{$path}", anew: $how === 'anew');
            if ($status !== 200) {
                fwrite(STDERR, "{$path} answered {$status}\n");
                exit(1);
            }
            $times[$how][] = $time;
            $bytes = strlen($answer);
        }
        sort($times[$how]);
    }
    $base = $path === '/health' ? $times['anew'][20] : $base;
    printf(
        "%-50s anew %7.1f ms (p95 %7.1f) ratio %6.2f   again %6.1f ms ratio %5.2f   %4d kB\n",
        str_replace([$stand, $argv[2] ?? '-'], ['{stand}', '{ground}'], $path),
        $times['anew'][20],
        $times['anew'][37],
        $times['anew'][20] / $base,
        $times['again'][20],
        $times['again'][20] / $base,
        intdiv($bytes + 999, 1000),
    );
}
unlink($jar);
