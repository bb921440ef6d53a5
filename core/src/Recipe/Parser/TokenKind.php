<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

enum TokenKind
{
    case Number;
    case Word;
    case Mark;
}
