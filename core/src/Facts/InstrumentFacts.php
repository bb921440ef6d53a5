<?php

declare(strict_types=1);

namespace Vinculum\Facts;

/** What instruments can tell, and when they are not to be believed (instruments.ini). */
final readonly class InstrumentFacts
{
    public const FILE = 'instruments';

    public function __construct(
        public PhMeterFacts $phMeter,
        public RefractometerFacts $refractometer,
        public ScaleFacts $scale,
    ) {}
}
