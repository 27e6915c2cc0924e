<?php

declare(strict_types=1);

namespace Kettle\Share;

/** What a recipe or a wish is meant for that is nobody's to judge but somebody's who is trained for it. */
final class ForQualified
{
    private const WOUNDS =
        '\b(?:ears?|earaches?|(?<!bird\s|bird[’\']s[\s-]|birds\s)eyes?|eyewash|wounds?|open\s+sores?|'.
        // What a flame does to an oil is no burn on a skin.
        '(?<!not\s|n[’\']t\s|to\s|will\s|can\s|may\s|could\s|would\s|might\s|never\s|it\s|them\s|oil\s|herb\s|herbs\s)burn|'.
        'burn\s+(?:salve|ointment|balm|cream|oil|care|relief|remedy)|'.
        '(?<!it\s|oil\s|herb\s|which\s|that\s|heat\s|flame\s|steam\s|never\s)burns|broken\s+skin|'.
        '(?:for|on)\s+(?:an?\s+|the\s+|my\s+)?(?:cuts?|grazes?))\b';

    public const WITH_CHILD =
        '\bpregnan(?:t|cy)\b|'.'\bexpecting\s+a\s+baby\b|\b(?:while|when)\s+nursing\b|\bnursing\s+mothers?\b|\bbreast[\s-]?feed\w*';

    private const MEDICINES = '\b(?:medicines?|medications?|antidepressants?|blood[\s-]thinners?|warfarin|prescriptions?|chemo\w*)\b';

    private const ANIMALS =
        '\bfor\s+(?:an?\s+|the\s+|my\s+|our\s+)?'.'(?:dogs?(?!\s+rose)|cats?|horses?|pets?|rabbits?|animals?|hens?|goats?)\b';

    private const ASK_FIRST = 'What is safe in pregnancy or nursing is a midwife’s or a doctor’s to say. Look at the cautions, and ask.';

    private const SAYS = [
        'Ears, eyes and wounds are for somebody qualified. It is planned for sound skin.' => self::WOUNDS,
        self::ASK_FIRST => self::WITH_CHILD,
        'What goes with medicines is a pharmacist’s or a doctor’s to say. Look at the cautions, and ask.' => self::MEDICINES,
        'What is safe for an animal is a vet’s to say: much that people bear makes a cat or a dog ill.' => self::ANIMALS,
    ];

    /** @return list<string> */
    public static function in(string $text): array
    {
        return array_keys(array_filter(self::SAYS, fn (string $pattern) => preg_match("/{$pattern}/iu", $text) === 1));
    }
}
