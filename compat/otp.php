<?php

declare(strict_types=1);

// One-time passwords come from Debian (php-christianriesen-otp, its Base32 beside it), not from the Composer registry.
require_once 'ChristianRiesen/Otp/autoload.php';
