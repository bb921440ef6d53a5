<?php

declare(strict_types=1);

namespace App\Recipes;

use Vinculum\Recipe\Recipe;

/** An edit of a sauce that names the revision it was based on. */
final class EditRequest extends FormulaRequest
{
    public function rules(): array
    {
        return [...parent::rules(), 'revision' => ['required', 'integer', 'min:1']];
    }

    public function messages(): array
    {
        return [...parent::messages(), 'revision' => 'The edit does not say which revision it was made on.'];
    }

    /** The edit as one of a given sauce, whatever the request says. */
    public function editOf(int $sauce): Recipe
    {
        return $this->edit()->of($sauce);
    }

    public function revision(): int
    {
        return $this->integer('revision');
    }
}
