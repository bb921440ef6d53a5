<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Telling;

/** Why a telling names a thing. */
enum MentionUse: string
{
    case PutIn = 'put-in';
    /** It is named, and nothing says that it goes in here: perhaps it does elsewhere. */
    case Named = 'named';
    case TalkedAbout = 'talked-about';
    case ServedWith = 'served-with';
}
