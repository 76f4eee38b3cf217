<?php

declare(strict_types=1);

use Tests\AppTestCase;

require_once __DIR__ . '/Core/helpers.php';
require_once __DIR__ . '/App/helpers.php';

pest()->extend(AppTestCase::class)->in('App');
