<?php

declare(strict_types=1);

namespace App\Kitchen;

use App\Models\Line;
use App\Models\Sauce;
use App\Models\Version;
use Illuminate\Database\Connection;

/** Keeps sauces: every write is one transaction, every edit names the revision it was based on. */
final readonly class Shelf
{
    /** A pause this long between edits makes what stood before it a version of its own. */
    private const VERSION_AFTER_SECONDS = 600;

    public function __construct(private Weighing $weighing, private Connection $database) {}

    public function add(SauceEdit $edit): Sauce
    {
        return $this->database->transaction(function () use ($edit): Sauce {
            $sauce = new Sauce(['revision' => 1]);
            $this->write($sauce, $edit);
            $this->keepVersion($sauce);

            return $sauce;
        });
    }

    /** @throws EditConflict when the sauce has moved on since that revision */
    public function edit(int $id, int $revision, SauceEdit $edit): Sauce
    {
        return $this->database->transaction(function () use ($id, $revision, $edit): Sauce {
            $sauce = Sauce::query()->with('lines')->findOrFail($id);
            if ($sauce->revision !== $revision) {
                throw EditConflict::with($sauce);
            }
            if ($sauce->updated_at !== null && $sauce->updated_at->diffInSeconds(now()) > self::VERSION_AFTER_SECONDS) {
                $this->keepVersion($sauce);
            }
            $sauce->revision = $revision + 1;
            $this->write($sauce, $edit);

            return $sauce;
        });
    }

    private function write(Sauce $sauce, SauceEdit $edit): void
    {
        $sauce->fill([
            'title' => $edit->title,
            'style' => $edit->style,
            'measures' => $edit->measures,
            'yield' => $edit->yield,
            'standing' => $this->weighing->standing($edit),
        ])->save();
        $sauce->lines()->delete();
        foreach (array_chunk($edit->lines, 500, true) as $chunk) {
            Line::query()->insert(array_map(static fn(int $position, string $text): array => ['sauce_id' => $sauce->id, 'position' => $position, 'text' => $text], array_keys($chunk), $chunk));
        }
        $sauce->load('lines');
    }

    private function keepVersion(Sauce $sauce): void
    {
        $newest = Version::query()->where('sauce_id', $sauce->id)->max('number');
        $sauce->versions()->create([
            'number' => (is_numeric($newest) ? (int) $newest : 0) + 1,
            'revision' => $sauce->revision,
            'title' => $sauce->title,
            'style' => $sauce->style,
            'measures' => $sauce->measures,
            'yield' => $sauce->yield,
            'lines' => $sauce->texts(),
        ]);
    }
}
