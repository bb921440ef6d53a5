<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Eloquent\Model;

/**
 * Something the cook has switched, once for the whole kitchen.
 *
 * @property string $name
 * @property string $value
 */
final class Setting extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'name';

    protected $keyType = 'string';

    protected $fillable = ['name', 'value'];

    public static function read(string $name): ?string
    {
        return self::query()->find($name)?->value;
    }

    public static function write(string $name, ?string $value): void
    {
        if ($value === null) {
            self::query()->whereKey($name)->delete();
        } else {
            self::query()->updateOrCreate(['name' => $name], ['value' => $value]);
        }
    }
}
