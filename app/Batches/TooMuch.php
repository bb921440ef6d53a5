<?php

declare(strict_types=1);

namespace App\Batches;

/** More was asked of a batch than there is; the message says how much there is. */
final class TooMuch extends \DomainException {}
