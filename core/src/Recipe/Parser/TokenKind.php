<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

enum TokenKind
{
    case Number;
    case Word;
    case Mark;
    /** What a screen, a list or a keyboard puts around a line: "<li>", "**", a box, a picture. */
    case Layout;
    case Price;
    case Link;
}
