<?php

declare(strict_types=1);

namespace App\Plain\CommandLine;

use Vinculum\Exchange\RecipeFault;

/** The file commands of ./vinculum: read a recipe, ask the core, print. No framework, no database, no server. */
final class Terminal
{
    private const DONE = 0;
    private const FAILED = 1;
    private const WRONG_CALL = 2;

    /** @param list<string> $arguments without the program's own name */
    public static function run(array $arguments): int
    {
        try {
            $call = Call::parse($arguments);
            $answer = Answers::to($call);
            fwrite(
                STDOUT,
                $call->isJson
                    ? json_encode(
                        $answer->json,
                        JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT,
                    ) . "\n"
                    : $answer->text,
            );

            return self::DONE;
        } catch (WrongCall|RecipeFault $wrong) {
            fwrite(STDERR, 'vinculum: ' . preg_replace('/\s+/', ' ', $wrong->getMessage()) . "\n");

            return self::WRONG_CALL;
        } catch (\Throwable $fault) {
            fwrite(STDERR, 'vinculum: ' . preg_replace('/\s+/', ' ', $fault->getMessage()) . "\n");

            return self::FAILED;
        }
    }
}
