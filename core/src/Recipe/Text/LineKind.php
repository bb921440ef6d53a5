<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Text;

/** What a line of a page is. */
enum LineKind: string
{
    case Title = 'title';
    case Blurb = 'blurb';
    /** Of a part of the ingredients: "For the sauce". */
    case Heading = 'heading';
    case IngredientsHeading = 'ingredients';
    case MethodHeading = 'method';
    case NotesHeading = 'notes-heading';
    case NutritionHeading = 'nutrition-heading';
    case Ingredient = 'ingredient';
    case Step = 'step';
    case Time = 'time';
    case Yield = 'yield';
    case Portions = 'portions';
    case Note = 'note';
    case Nutrition = 'nutrition';
    case Link = 'link';

    /** Why it is set aside, as the contract says it; null where it becomes part of the recipe. */
    public function aside(): ?string
    {
        return match ($this) {
            self::Ingredient, self::Step, self::Heading => null,
            self::Title => 'title',
            self::Blurb => 'blurb',
            self::IngredientsHeading, self::MethodHeading, self::NotesHeading => 'heading',
            self::Nutrition, self::NutritionHeading => 'nutrition',
            self::Time => 'time',
            self::Yield, self::Portions => 'yield',
            self::Note => 'note',
            self::Link => 'link',
        };
    }
}
