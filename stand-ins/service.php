<?php

/*
 * What the simulated services share: how they answer, and how they are told what kind of day they have.
 */

declare(strict_types=1);

function answer(int $status, mixed $body): never
{
    http_response_code($status);
    header('Content-Type: application/json');
    echo json_encode($body, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
    exit();
}

/**
 * The kind of day a service has; a request that changes it is answered here, and so is one for anything but $path.
 *
 * @param string $name of the service: the day is kept by it and its port
 * @param list<string> $kinds that it can have; anything else is refused
 */
function kindOfDay(string $name, array $kinds, string $path): string
{
    $switch = "/tmp/thicket-{$name}-" . ($_SERVER['SERVER_PORT'] ?? '0');
    $asked = parse_url((string) ($_SERVER['REQUEST_URI'] ?? ''), PHP_URL_PATH);
    if ($asked === '/v1/bad-day' && $_SERVER['REQUEST_METHOD'] === 'PUT') {
        $kind = trim((string) file_get_contents('php://input'));
        in_array($kind, $kinds, true) || answer(422, ['title' => 'One of ' . implode(', ', $kinds) . '.']);
        file_put_contents($switch, $kind);
        answer(200, ['badDay' => $kind]);
    }
    $asked === $path || answer(404, ['title' => "There is {$path} and /v1/bad-day."]);

    return is_file($switch) ? (string) file_get_contents($switch) : 'fine';
}

/** @return list<float> latitude, longitude and elevation as asked for */
function placeAsked(): array
{
    $asked = [];
    foreach (['latitude' => 90, 'longitude' => 180, 'elevation' => 9000] as $name => $most) {
        $told = $_GET[$name] ?? null;
        if (!is_numeric($told) || abs((float) $told) > $most) {
            answer(422, ['title' => "{$name} is a number of at most {$most}."]);
        }
        $asked[] = (float) $told;
    }

    return $asked;
}

/** The time asked about, Unix. */
function nowAsked(): int
{
    $now = strtotime((string) ($_GET['now'] ?? ''));
    $now === false && answer(422, ['title' => 'now is a time such as 2026-09-03T09:00:00Z.']);

    return $now;
}
