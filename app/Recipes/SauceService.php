<?php

declare(strict_types=1);

namespace App\Recipes;

use Illuminate\Database\Connection;
use Vinculum\Comparison\Comparison;
use Vinculum\Exchange\RecipeFault;
use Vinculum\Family\FamilyBook;
use Vinculum\Family\FamilyGuess;
use Vinculum\Kitchen\Sauce as WeighedSauce;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Recipe;
use Vinculum\Recipe\RecipeLine;
use Vinculum\Report\StandingReport;

/** Keeps sauces and their versions: every write is one transaction, every edit names the revision it was based on. */
final readonly class SauceService
{
    /** A pause this long between edits makes what stood before it a version of its own. */
    private const VERSION_AFTER_SECONDS = 600;
    /** So many sauces keep nobody waiting. */
    private const WEIGHED_AT_ONCE = 20;

    public function __construct(
        private HomeKitchen $homeKitchen,
        private SauceParts $parts,
        private Connection $database,
    ) {}

    /** @param int|null $forkedFrom the sauce it begins as a variant of */
    public function add(Recipe $recipe, ?int $forkedFrom = null): Sauce
    {
        return $this->shelve($this->homeKitchen->weigh($recipe), $forkedFrom);
    }

    /** The same of what was weighed already. */
    public function shelve(WeighedSauce $weighed, ?int $forkedFrom = null): Sauce
    {
        return $this->database->transaction(function () use ($weighed, $forkedFrom): Sauce {
            $sauce = new Sauce([
                'revision' => 1,
                'forked_from' => $forkedFrom !== null && Sauce::withTrashed()->whereKey($forkedFrom)->exists()
                    ? $forkedFrom
                    : null,
            ]);
            $this->write($sauce, $weighed);
            $this->keepVersion($sauce);

            return $sauce;
        });
    }

    /**
     * A sauce as it was typed or pasted, in the family that its name and balance say; nothing of it yet where nothing
     * was.
     *
     * @throws RecipeFault where it is no text
     */
    public function written(string $text, Measures $measures): Sauce
    {
        $read = $this->homeKitchen->kitchen()->readBegun($text);
        $weighed = $this->homeKitchen->weigh(self::fitting($read, $measures));
        $family = $weighed->recipe->style === null
            ? FamilyGuess::sure($weighed->balance(), $weighed->recipe->title)
            : null;

        $sauce = $this->shelve($family === null ? $weighed : $weighed->asOne(FamilyBook::get($family)));
        if (array_filter($read->lines, static fn(RecipeLine $line): bool => $line->said !== null) !== []) {
            $sauce->update(['told' => $text]);
        }

        return $sauce;
    }

    /** A recipe that came in, cut to what the shelf holds; a style that nobody knows is none. */
    public static function fitting(Recipe $recipe, Measures $measures): Recipe
    {
        $clipped = static fn(?string $text, int $most): ?string => $text === null ? null : mb_substr($text, 0, $most);
        $style = $recipe->style !== null && FamilyBook::has($recipe->style) ? $recipe->style : null;

        return (new Recipe(
            $clipped($recipe->title, 200) ?? '',
            $style,
            $recipe->lines,
            $recipe->method,
            $measures,
            $clipped($recipe->yield, 200),
            pan: $clipped($recipe->pan, 100),
        ))->withExtras($recipe);
    }

    /**
     * @param bool $keepsPage whether what its page said besides stays as it is stored: the edit says nothing of it
     *
     * @throws EditConflict when the sauce has moved on since that revision
     */
    public function edit(int $id, int $revision, Recipe $edit, bool $keepsPage = false): Sauce
    {
        return $this->database->transaction(function () use ($id, $revision, $edit, $keepsPage): Sauce {
            $sauce = Sauce::query()->findOrFail($id);
            $edit = $keepsPage ? $edit->withExtras($sauce->recipe) : $edit;
            if ($sauce->revision !== $revision && $sauce->recipe == $edit->of($id)) {
                // the answer to the first time was lost on its way
                return $sauce;
            }
            if ($sauce->revision !== $revision) {
                throw EditConflict::with($sauce);
            }
            if ($sauce->updated_at !== null && $sauce->updated_at->diffInSeconds(now()) > self::VERSION_AFTER_SECONDS) {
                $this->keepVersion($sauce);
            }
            $sauce->revision = $revision + 1;
            $this->write($sauce, $this->homeKitchen->weigh($edit));

            return $sauce;
        });
    }

    /** Keeps the sauce as it stands now for good; where nothing changed since the last version, that one. */
    public function keep(int $id): Version
    {
        return $this->database->transaction(
            fn(): Version => $this->keepVersion(Sauce::query()->findOrFail($id)),
        );
    }

    private function write(Sauce $sauce, WeighedSauce $weighed): void
    {
        $this->homeKitchen->changed();
        $sauce->fill(['recipe' => $weighed->recipe, 'standing' => StandingReport::of($weighed)])->save();
        $this->parts->replaceParts($sauce, $weighed->balance());
        $this->reweigh($this->parts->thoseMadeWith($sauce->id));
    }

    /**
     * A sauce that changed changes the sauces it is part of; nobody edited those, so their revision stays.
     *
     * @param list<int> $sauces the nearest first
     */
    private function reweigh(array $sauces): void
    {
        foreach ($sauces as $id) {
            $sauce = Sauce::query()->find($id);
            if ($sauce !== null) {
                $weighed = $this->homeKitchen->weigh($sauce->recipe);
                $sauce->fill(['standing' => StandingReport::of($weighed)]);
                $this->parts->replaceParts($sauce, $weighed->balance());
            }
        }
    }

    /**
     * What the shelf shows of some sauces and versions, worked out and kept, a few at a time; nobody edited them.
     *
     * @param list<int> $sauces
     * @param list<int> $versions
     */
    public function weigh(array $sauces, array $versions): void
    {
        foreach ([['sauces', $sauces], ['versions', $versions]] as [$table, $ids]) {
            foreach (array_chunk($ids, self::WEIGHED_AT_ONCE) as $some) {
                $rows = $table === 'sauces' ? Sauce::withTrashed() : Version::query();
                $weighed = [];
                /** @var Sauce|Version $row */
                foreach ($rows->whereIn('id', $some)->get() as $row) {
                    $row->fill(['standing' => $this->standingOf($row->recipe)]);
                    $weighed[] = [$row->id, $row->revision, $row->getAttributes()['standing']];
                }
                // the kitchen is held while they are written only, not while they are worked out
                $this->database->transaction(function () use ($table, $weighed): void {
                    foreach ($weighed as [$id, $revision, $standing]) {
                        $this->database
                            ->table($table)
                            ->where('id', $id)
                            ->where('revision', $revision)
                            ->update(['standing' => $standing]);
                    }
                });
            }
        }
    }

    /** What the shelf shows of a recipe, worked out. */
    public function standingOf(Recipe $recipe): StandingReport
    {
        return StandingReport::of($this->homeKitchen->weigh($recipe));
    }

    /** What the shelf shows of every sauce, worked out anew; nobody edited them, so revision and time stay. */
    public function weighAll(): void
    {
        Sauce::withoutTimestamps(fn() => Sauce::query()->eachById(function (Sauce $sauce): void {
            $sauce->fill(['standing' => $this->standingOf($sauce->recipe)])->save();
        }));
    }

    private function keepVersion(Sauce $sauce): Version
    {
        /** @var Version|null $last */
        $last = $sauce->versions()->reorder('number', 'desc')->first();
        $edit = $sauce->recipe;
        if ($last !== null && $last->recipe == $edit) {
            return $last;
        }
        $says = $last === null
            ? null
            : Comparison::of(
                $this->homeKitchen->formula($last->recipe),
                $this->homeKitchen->formula($edit),
                $this->homeKitchen->kitchen()->spoons($edit->measures),
                isOneSauce: true,
            )->words();

        return $sauce->versions()->create([
            'number' => ($last->number ?? 0) + 1,
            'revision' => $sauce->revision,
            'recipe' => $edit,
            'says' => $says,
            'standing' => $sauce->standing,
        ]);
    }
}
