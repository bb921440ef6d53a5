<?php

declare(strict_types=1);

namespace App\Exchange;

use Vinculum\Exchange\RecipeFault;
use Vinculum\Ingredient\LabelFault;
use Vinculum\Quantity\Measures;

/** One table of the kitchen (RFC 4180), out and in; its columns are explained in docs/formats.md. */
interface Table
{
    public function write(): string;

    /**
     * What would come in.
     *
     * @return list<array{title: string, kind: string, there: bool}>
     *
     * @throws RecipeFault|ImportFault
     */
    public function preview(string $contents): array;

    /**
     * Takes it in.
     *
     * @param bool $merges leave out what is there already
     *
     * @return array<string, list<int>> ids of what was made, by table of the database
     *
     * @throws RecipeFault|ImportFault|LabelFault
     */
    public function take(string $contents, Measures $measures, bool $merges): array;
}
