<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

enum PhraseKind
{
    case Amount;
    /** "3:1:1" */
    case Ratio;
    /** "equal parts" */
    case Equal;
    /** "the same of" */
    case Same;
    case Percent;
    /** A name of the catalogue, to the word. */
    case Food;
    case Word;
    case Each;
    /** "to taste", "for frying": with all that follows in its clause. */
    case Purpose;
    /** "see note 2", "keep the juice", "not pie filling": with all that follows in its clause. */
    case Note;
    /** "a little", "lots of": no amount that could be counted. */
    case Some;
    case Bracket;
    case Tag;
    case Joiner;
    case Mark;
}
