<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Telling;

use Vinculum\Recipe\Parser\Item;

/** Why a telling names a thing: because it goes in, is eaten with it, or is only talked about. */
final class MentionPurpose
{
    /** "This is how my dad makes his mop sauce". */
    private const HOW_SOMEONE_DOES = '/\b(?:this|here|that)(?: is|\'s|s)? (?:how|the way|what|the one) (?:my|our|his|her|the) (?:\pL+ ){1,3}?(?:makes?|does|did|made|taught|cooks?)\b/iu';
    private const OF_ITS_STATE = '/\b(?:till|until|when|once|if|because|than|of)\s+(?:the|your|its|all the)?\s*$/iu';
    /** "Salt right at the end", "pepper but no salt". */
    private const AT_THE_END = '/^\W*(?:and\W+)?(?:salt|(?:black )?pepper)\b[^,.]{0,20}\b(?:at the end|at the last|last|to taste|to finish|no salt)\b/iu';
    private const LEFT_OUT = '/\b(?:i|we) (?:left|leave|didn\'?t|don\'?t|never)\b/iu';
    /** "Vanilla if you like, I don't bother". */
    private const LEFT_OUT_BEHIND = '/^[^.!?]{0,20}[,;]\s*(?:but )?(?:i|we) (?:don\'?t|never|leave|left|didn\'?t)\b/iu';
    private const IS_DONE = '/^\s*and (?:then )?(?:(?:you|we)\'?re|(?:that|it)\'?s|i\'?m) (?:done|it|there)\b/iu';
    private const SEASONED = '/\bsalt(?:,| and|, and) (?:black )?pepper\b/iu';

    /**
     * @param string $upTo what is said in its clause before it and its amount
     * @param string $told the whole clause
     * @param string $behind the next few letters behind its name
     * @param string $since what is said in its clause since the thing before it
     */
    public static function of(string $upTo, string $told, ?Item $item, string $behind, string $since): MentionUse
    {
        $isToTaste = preg_match('/^\s*(?:to taste|as you like|for seasoning)\b/iu', $behind) === 1;
        $hasAmount = $item !== null || $isToTaste;
        $isOne = $item !== null && $item->measured?->unit === null && preg_match('/^an?\b/iu', $item->amountText) === 1
            && in_array($item->measured->counted ?? 'whole', ['whole'], true);
        // what is said of others ends where one speaks of oneself
        $own = (string) preg_replace('/^.*(?:[,;]|\bbut\b|\bso\b)\s*(?=(?:i|we|you)\b)/iu', '', $upTo);
        // "this is how my dad makes his mop sauce": his way is what is told
        $own = (string) preg_replace(self::HOW_SOMEONE_DOES, '', $own);
        // "my aunt's relish" is told of, and made here
        $own = (string) preg_replace('/\bmy (?:\pL+ ){0,2}\pL+[\'’]s\b/iu', '', $own);
        $optional = TellingWords::pattern('optional');
        $plain = (string) preg_replace("/{$optional}/iu", '', $since);
        // "I like to throw in a spoon of" compares nothing
        if ($item?->measured?->unit !== null) {
            // "and like a pinch of": said and not meant
            $plain = (string) preg_replace('/\b(?<!looks |look |tastes |taste |smells )like\s*$/iu', '', $plain);
        }
        $plain = (string) preg_replace('/\b(?:i|we|you|they|to|i\'d|we\'d)\s+(?:would\s+|do\s+|really\s+)?like\b/iu', '', $plain);

        $from = substr($told, strlen($upTo));
        $beside = TellingWords::pattern('beside');

        return match (true) {
            // "That's salsa verde and it wants eating today", "Bread sauce, properly: milk"
            !$hasAmount && preg_match('/\b(?:that\'s|thats|that is)\s+$/iu', $upTo) === 1
                && preg_match('/^\s*(?:\pL+\s)?(?:and it|and that|[.!])/iu', $behind) === 1,
            !$hasAmount && trim($upTo) === '' && preg_match('/^, \pL+:\s/iu', $behind) === 1 => MentionUse::Named,
            // "you pour that water off", "squeeze the water out"
            !$hasAmount && preg_match('/^\s*(?:off|away|out)\b/iu', $behind) === 1,
            !$hasAmount && preg_match('/\b(?:squeeze|press|pour|drain|wring)s? (?:out|off|away) (?:the|that|its|any|all the)\s+$/iu', $upTo) === 1,
            // "take out the star anise"
            !$hasAmount && preg_match('/\b(?:(?:take|fish|pick|lift|pull|scoop)s? (?:them |it )?out|removes?|discards?)\s+(?:the|that|those|your)\s+$/iu', $upTo) === 1,
            // "a bit of the cream off the top"
            $item?->measured?->unit === null
                && preg_match('/^\s*(?:off|from) the (?:top|surface|tin)\b/iu', $behind) === 1,
            // "this is my hot honey"
            !$hasAmount && preg_match('/\b(?:this is|here is) (?:my|our|the)\s+(?:\pL+\s){0,2}$/iu', $upTo) === 1,
            // "orange zest is nice if you serve duck"
            !$hasAmount && preg_match('/^\s*(?:(?:on top|over it|in it|with it|here)\s+)?(?:is|are|would be|\'s)\s+(?:also\s+|very\s+)?(?:nice|good|lovely|great|fine|okay|ok)\b/iu', $behind) === 1,
            // "And lemon? No"
            !$hasAmount && preg_match('/^\s*\?\W*(?:no|never|god no|not in this)\b/iu', $behind) === 1,
            // "mushrooms, chestnut ones"
            !$hasAmount && preg_match('/^\s+(?:ones?|kind|sort|type)\b/iu', $behind) === 1,
            // "he put bourbon in it, I don't"
            self::isDeniedOfOneself($upTo, $from),
            // "Vanilla if you like, I don't bother"
            !$hasAmount && preg_match("/^\W{0,2}{$optional}/iu", $behind) === 1
                && preg_match(self::LEFT_OUT_BEHIND, $behind) === 1 => MentionUse::TalkedAbout,
            // "Pepper.", "Salt, obviously."
            !$hasAmount && trim($upTo) === ''
                && preg_match('/^[\pL\s]{2,24}?(?:, (?:obviously|of course|as always|naturally))?[.!]?\s*$/u', $told) === 1
                && preg_match('/^(?:, \pL+(?: \pL+)?)?[.!]?\s*(?:\p{Lu}|$)/u', $behind) === 1 => MentionUse::PutIn,
            // "that's the adobo for the pork"
            !$hasAmount && preg_match('/\bfor (?:the|your|my|our|a)\s*$/iu', $upTo) === 1
                && preg_match('/^\s*(?:[.!?]|$)/u', $behind) === 1 => MentionUse::ServedWith,
            // "that's your sausage gravy"
            !$hasAmount && preg_match('/\b(?:that\'s|thats|there\'s|that is|here\'s)\s+(?:your|the|my|our|a)\s+(?:\pL+\s){0,2}$/iu', $upTo) === 1,
            // "you pour boiling water on them"
            !$hasAmount && preg_match('/^\W*(?:boiling|hot)\s+water\s+(?:on|over) (?:it|them|those|that)\b/iu', $from) === 1 => MentionUse::Named,
            // "pound it to a cream"
            $item?->measured?->unit === null
                && preg_match('/\bto\s*$/iu', $upTo) === 1 && $isOne => MentionUse::Named,
            // "With duck, with cheese", "Under a chocolate cake"
            $item?->measured?->unit === null
                && preg_match("/^\\W*{$beside}[^.!?]*$/iu", $upTo) === 1 => MentionUse::ServedWith,
            $hasAmount && self::endsIn('sorry', $upTo),
            // "don't always, and pepper but no salt"
            preg_match('/\band\s+$/iu', $upTo) === 1
                && preg_match('/^\s*but no salt\b/iu', $behind) === 1 => MentionUse::PutIn,
            $isOne && preg_match('/:\s*$/u', $upTo) !== 1 && self::endsIn('makes', $upTo) => MentionUse::TalkedAbout,
            !$hasAmount && TellingWords::areIn(mb_substr($upTo, -60), 'served') => MentionUse::ServedWith,
            TellingWords::areIn($own, 'other'),
            self::isOfOthers($own, $from),
            self::endsIn('like', $plain, $item?->measured?->unit === null ? 4 : 0),
            // "lemon? No, red wine vinegar, a tablespoon"
            self::endsIn(
                'not',
                (string) preg_replace('/^\W*no,\s*$/iu', '', mb_substr($upTo, -60)),
                $hasAmount && !$isOne ? 0 : 4,
            ) => MentionUse::TalkedAbout,
            // "half olive, half sunflower"
            preg_match('/^half$/iu', trim($item->amountText ?? '')) === 1
                && preg_match('/^\W*(?:and\s+)?half\b/iu', $behind) === 1 => MentionUse::Named,
            $hasAmount => MentionUse::PutIn,
            // "until the water is gone"
            preg_match(self::OF_ITS_STATE, $upTo) === 1 => MentionUse::Named,
            self::endsIn('puts', $upTo),
            // "Salt and a bit of cayenne"
            trim($upTo) === '' && preg_match('/^\s*(?:,|and|plus)\s+(?:an?|some|the)\s+(?:good |little |tiny )?(?:bit|pinch|little|touch|dash|grind|twist|squeeze|splash|few)\b/iu', $behind) === 1,
            // "Shallot only on the day"
            trim($upTo) === '' && TellingWords::areIn(mb_substr($behind, 0, 20), 'last'),
            // "salt and you're done"
            trim($upTo) === '' && preg_match(self::IS_DONE, $behind) === 1,
            // "Dill if there was any"
            trim($upTo) === '' && preg_match("/^\W{0,2}{$optional}/iu", $behind) === 1
                && preg_match(self::LEFT_OUT, $from) !== 1 => MentionUse::PutIn,
            self::beginsAList($told),
            self::isSaltAndPepper($told, strlen($upTo)) => MentionUse::PutIn,
            default => MentionUse::Named,
        };
    }

    /** What somebody else does and the one who tells does not. */
    private static function isDeniedOfOneself(string $upTo, string $from): bool
    {
        $does = TellingWords::pattern('others-do');

        return preg_match("/\\b(?:he|she|they|people|everyone|everybody|you)\\s+(?:\\pL+\\s+){0,2}?(?:{$does}|could|can|might|may)\\b[^.!?]{0,30}$/iu", $upTo) === 1
            && preg_match(
                '/^[^.!?]{0,50}\b(?:(?:i|we) (?:don\'?t|do not|never|won\'?t|didn\'?t|hadn\'?t|haven\'?t|had none)|(?:at|for|on) (?:christmas|easter|sundays?|birthdays?|special))\b/iu',
                $from,
            ) === 1;
    }

    /** "My mother put curry powder in hers", "the stall next to ours put coconut milk in theirs". */
    private static function isOfOthers(string $upTo, string $from): bool
    {
        [$who, $does] = [TellingWords::pattern('relations'), TellingWords::pattern('others-do')];

        $someone = "(?:my|his|her|our|their|the)\\s+(?:\\pL+\\s+){0,2}?{$who}";

        // "some vans put an egg in"
        $others = '(?:some|many|most|other|lots of|plenty of)\s+\pL{3,}s';

        return preg_match("/\\b(?:{$someone}|{$others})\\s+(?:(?!(?:i|we)\\b)\\pL+\\s+){0,2}?{$does}\\b[^.!?]{0,40}$/iu", $upTo) === 1
            || preg_match('/^[^.!?]{0,60}\bin (?:hers|his|theirs)\b/iu', $from) === 1;
    }

    /** Whether it is one of "salt and pepper", which nobody says of anything else. */
    private static function isSaltAndPepper(string $told, int $at): bool
    {
        $from = substr($told, $at);

        return preg_match('/^\W*(?:and\W+)?(?:salt\b|(?:black )?pepper\b)/iu', $from) === 1
            && (preg_match(self::SEASONED, $told) === 1 || preg_match(self::AT_THE_END, $from) === 1);
    }

    /** "salt, pepper, a bit of sugar": nothing but things. */
    private static function beginsAList(string $told): bool
    {
        return preg_match('/\b(?:obviously|but|also|of course|lovely|great)\b/iu', $told) !== 1
            && substr_count($told, ',') >= 2 && str_word_count($told) <= 3 * (1 + substr_count($told, ','));
    }

    /** Whether words of a kind stand right before, with at most a few small ones between. */
    public static function endsIn(string $row, string $upTo, int $between = 4): bool
    {
        $pattern = TellingWords::pattern($row);

        return preg_match("/{$pattern}(?:\W+[\pL']+){0,{$between}}\W*$/iu", $upTo) === 1;
    }
}
