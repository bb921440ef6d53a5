<?php

declare(strict_types=1);

namespace Vinculum\Family;

use Vinculum\Facts\Row;

/** What a family is to a cook: where it stands among sauces, what it is eaten with, how thick, and how cooks differ. */
final readonly class FamilyUsage
{
    /**
     * @param string $group of families, by what they are made of
     * @param string $goesWith what it is eaten with, in words
     * @param string $body its usual consistency
     * @param string $schools where cooks differ, in words
     * @param bool $isCooked it always is, whether a method says so or not
     * @param string $plain title of the reference that a cook would show a beginner
     */
    private function __construct(
        public string $group,
        public string $goesWith,
        public string $body,
        public string $schools,
        public bool $isCooked,
        public string $plain,
    ) {}

    /** @param Row $row of styles.ini */
    public static function fromRow(Row $row): self
    {
        return new self(
            $row->text('group'),
            $row->text('goes_with'),
            $row->text('body'),
            $row->text('schools'),
            $row->textOr('cooked', 'no') === 'yes',
            $row->text('plain'),
        );
    }
}
