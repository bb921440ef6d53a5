<?php

declare(strict_types=1);

namespace App\Imports;

use App\Exchange\ImportFault;
use App\Exchange\JsonRows;
use Vinculum\Exchange\RecipeFault;
use Vinculum\Exchange\RecipeReader;

/** Something that is to be taken in: a text that was pasted, or a file that was laid down. */
final class Incoming
{
    private const LOOKED_AT = 262_144;
    /** Letters that a mark of a kitchen may span. */
    private const MARK_WITHIN = 64;

    /** @param resource $stream */
    private function __construct(
        private $stream,
        private readonly ?string $upload,
        private readonly ?Uploads $uploads,
    ) {}

    public static function text(string $contents): self
    {
        $stream = fopen('php://temp', 'r+');
        assert($stream !== false);
        fwrite($stream, $contents);

        return new self($stream, null, null);
    }

    /** @throws ImportFault where there is no such file */
    public static function upload(string $name, Uploads $uploads): self
    {
        return new self($uploads->open($name), $name, $uploads);
    }

    /** The kitchen in it, to be read row by row; null where it is none. */
    public function kitchen(): ?JsonRows
    {
        rewind($this->stream);
        $before = '';
        // its keys may stand in any order
        while (($piece = (string) fread($this->stream, self::LOOKED_AT)) !== '') {
            if ($before === '' && preg_match('/\A(?:\xEF\xBB\xBF)?\s*\{/', $piece) !== 1) {
                return null;
            }
            if (preg_match('/"vinculum"\s{0,20}:\s{0,20}"/', $before . $piece) === 1) {
                return new JsonRows($this->stream);
            }
            $before = substr($piece, -self::MARK_WITHIN);
        }

        return null;
    }

    /**
     * All of it, as text.
     *
     * @throws RecipeFault where it is larger than a text may be, or none
     */
    public function contents(): string
    {
        $bytes = (int) (fstat($this->stream)['size'] ?? 0);
        if ($bytes > RecipeReader::MOST_BYTES) {
            throw RecipeFault::tooLarge($bytes);
        }
        rewind($this->stream);

        return RecipeReader::asText((string) stream_get_contents($this->stream));
    }

    /** @return \Closure(int): void told how many bytes of it were read */
    public function progress(): \Closure
    {
        return function (int $bytes): void {
            if ($this->upload !== null) {
                $this->uploads?->noteRead($this->upload, $bytes);
            }
        };
    }

    public function done(): void
    {
        if ($this->upload !== null) {
            $this->uploads?->forget($this->upload);
        }
    }
}
