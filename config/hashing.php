<?php

declare(strict_types=1);

return [
    // reads the whole of a long password, where bcrypt stops after 72 bytes; cost as OWASP has it for argon2id
    'driver' => 'argon2id',
    'argon' => ['memory' => 19456, 'threads' => 1, 'time' => 2, 'verify' => false],
    'rehash_on_login' => true,
];
