<?php

declare(strict_types=1);

arch('core knows nothing of the framework, the application or its dates')
    ->expect('Thicket')
    ->not->toUse(['Illuminate', 'Laravel', 'Carbon', 'App', 'Database']);
arch('core is strict')->expect('Thicket')->toUseStrictTypes();
arch('core classes are final')->expect('Thicket')->classes()->toBeFinal();
arch('application is strict')->expect('App')->toUseStrictTypes();
arch('controllers hold no sums')
    ->expect('App\Http\Controllers')
    ->not->toUse([
        'Brick\Math\BigRational',
        'Brick\Math\BigDecimal',
        'Thicket\Mix\AreaRate',
        'Thicket\Mix\Injection',
        'Thicket\Mix\FinishedMix',
        'Thicket\Mix\StemBand',
        'Thicket\Mix\StumpFace',
    ]);
arch('nothing below reaches up to HTTP')
    ->expect('App\Http\Controllers')
    ->toOnlyBeUsedIn(['App\Http\Controllers']);
arch('nobody leaves a debugging call')
    ->expect(['dd', 'dump', 'var_dump', 'ray', 'print_r'])
    ->not->toBeUsed();
