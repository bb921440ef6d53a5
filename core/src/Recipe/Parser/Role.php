<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

/** What a piece of a line is there for. */
enum Role
{
    case Amount;
    case Name;
    /** Juice or zest, where that alone is taken. */
    case Part;
    /** What is done to it, and how it is: "chopped", "at room temperature". */
    case State;
    /** Another choice: "or maple syrup". */
    case Alternative;
    /** How strong it is: "5 % acidity". */
    case Strength;
    /** What it is for: "to serve", "for the onions". */
    case Purpose;
    case Note;
    case Tag;
    /** What joins two things, or leads up to one. */
    case Joiner;
    /** Punctuation, a bullet, a price, a link. */
    case Mark;
}
