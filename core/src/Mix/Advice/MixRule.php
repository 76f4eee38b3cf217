<?php

declare(strict_types=1);

namespace Thicket\Mix\Advice;

interface MixRule
{
    public function judge(MixPlan $plan): ?Advisory;
}
