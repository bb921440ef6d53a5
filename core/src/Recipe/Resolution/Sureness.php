<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

/** How sure it is that a line means the ingredient it was taken for. */
enum Sureness: string
{
    /** Its name, or one that means the same. */
    case Certain = 'certain';
    /** Something in the name was passed over, or it means something else elsewhere. */
    case Likely = 'likely';
}
