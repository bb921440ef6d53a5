<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

/** How far a line was understood; the words are those of the public contract. */
enum LineStatus: string
{
    case Measured = 'measured';
    case Assumed = 'assumed';
    case ToTaste = 'to-taste';
    case Unknown = 'unknown';
    /**
     * No ingredient line at all: a heading that starts a stage, or an empty line. Never in the command line's answers.
     */
    case Heading = 'heading';
}
