<?php

declare(strict_types=1);

use App\Text\Sentences;

it('shows the rest where one sentence was never written, and says which', function () {
    $missed = [];
    $sentences = new Sentences(base_path('lang'), 'en', null, function (string $fault) use (&$missed): void {
        $missed[] = $fault;
    });
    expect($sentences->name('method.twist-pull'))
        ->toBe('twist pull')
        ->and($sentences->name('method.hand-pull'))
        ->toBe('Hand pull')
        ->and($missed)
        ->toBe(["lang/en has no sentence for 'method.twist-pull'."])
        // in tests nobody overlooks it
        ->and(fn() => app(Sentences::class)->name('method.twist-pull'))
        ->toThrow(LogicException::class, "'method.twist-pull'");
});

it('reads the words it compiled as it reads the files', function () {
    $target = sys_get_temp_dir() . '/words.' . bin2hex(random_bytes(4)) . '.php';
    $files = new Sentences(base_path('lang'), 'en');
    $files->compile($target);
    $compiled = new Sentences('/nowhere', 'en', $target);
    foreach (['outcome.fits', 'note.fire', 'method.cut-stump'] as $code) {
        expect($compiled->name($code))->toBe($files->name($code));
    }
    unlink($target);
});
