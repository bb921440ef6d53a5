<?php

declare(strict_types=1);

namespace Vinculum\Reading;

enum TokenKind
{
    case Number;
    case Word;
    case Mark;
}
