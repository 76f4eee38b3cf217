<?php

declare(strict_types=1);

namespace Thicket;

/** Marks every refusal of bad input, as against a bug of ours (LogicException). The message is fit for people. */
interface ThicketRefusal extends \Throwable {}
