<?php

declare(strict_types=1);

use App\Support\Address;
use App\Support\PasswordStrength;

it('folds an address to one form, and leaves letters with an accent alone', function (string $typed, string $kept) {
    expect(Address::folded($typed))->toBe($kept);
})->with([
    'capitals' => ['Ada@Alderbrook.Example', 'ada@alderbrook.example'],
    'spaces' => ["  ada@alderbrook.example\t", 'ada@alderbrook.example'],
    'wide letters' => ["\u{FF21}da@alderbrook.example", 'ada@alderbrook.example'],
    'an accent in two parts' => ["bra\u{0300}m@alderbrook.example", "br\u{00E0}m@alderbrook.example"],
    'an accent' => ["br\u{00E0}m@alderbrook.example", "br\u{00E0}m@alderbrook.example"],
    'a kelvin sign' => ["\u{212A}it@alderbrook.example", 'kit@alderbrook.example'],
]);

it('takes a password that is hard to guess', function (string $password) {
    expect(PasswordStrength::fault($password, ['Ada Thornbury', 'ada@alderbrook.example', 'Alderbrook Trust']))->toBeNull();
})->with(['nine grey barrows', 'Zk4-vu9Qp!2mW', 'heron ladle quartz', 'ada keeps nine grey barrows', str_repeat('wobbly larch ', 9)]);

it('refuses one that is short, long, common, a pattern or the person\'s own, and says what would do', function (string $password) {
    expect(PasswordStrength::fault($password, ['Ada Thornbury', 'ada@alderbrook.example', 'Alderbrook Trust']))->toContain('words');
})->with([
    'eleven letters' => ['nine barrow'], '129 letters' => [str_repeat('ab cd ef!', 15)], 'ten equal letters' => ['aaaaaaaaaa'], 'twelve equal letters' => ['aaaaaaaaaaaa'],
    'two letters' => ['abababababab'], 'an alphabet' => ['abcdefghijklm'], 'a keyboard row back' => ['poiuytrewqpoiu'], 'figures' => ['123456789012'], 'common' => ['Password1234'], 'common in disguise' => ['P4$$w0rd!!!!'],
    'common twice' => ['dragondragon'], 'made of common ones' => ['summer-dragon-2026'], 'the old example' => ['correcthorsebatterystaple'], 'own name' => ['thornbury123'], 'own crew' => ['Alderbrook 1'], 'the demo\'s' => ['gallant-thicket'],
]);

it('reads the whole of a long password', function () {
    $long = str_repeat('wobbly larch ', 8);
    $hash = Illuminate\Support\Facades\Hash::make("{$long}one");
    expect(strlen($long))->toBeGreaterThan(72)->and(Illuminate\Support\Facades\Hash::check("{$long}two", $hash))->toBeFalse()->and(Illuminate\Support\Facades\Hash::check("{$long}one", $hash))->toBeTrue();
});
