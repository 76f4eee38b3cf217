<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

/** Whatever a mix is put out with. */
enum SprayerKind: string
{
    case Backpack = 'backpack';
    case Boom = 'boom';
    case HandCan = 'hand-can';
    case SquirtBottle = 'squirt-bottle';
    case Wick = 'wick';
}
