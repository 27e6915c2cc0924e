<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Carrier;
use Kettle\Material\Cupboard;
use Kettle\Material\Herb;
use Kettle\Material\Names;

/** Asks after names with a letter wrong; nothing is taken for one. */
final readonly class MeantNames
{
    private const MOST_MEANT = 3;

    public function __construct(private Cupboard $cupboard) {}

    /**
     * What a word that is not known may be the name of, to be chosen by whoever meant it.
     *
     * @param  list<string>  $unread
     * @param  list<array<string, string>>  $oils
     * @return list<string>
     */
    public function of(array $unread, array $oils): array
    {
        $named = array_filter($oils, fn (array $oil) => isset($oil['name']) && $oil['name'] !== 'oil');
        if ($unread === [] && $named === []) {
            return [];
        }
        $herbs = array_map(fn (Herb $herb) => [$herb->name, ...$herb->also], $this->cupboard->herbs());
        $carriers = array_map(fn (Carrier $oil) => [$oil->name, ...$oil->names->also], $this->cupboard->carriers());
        $words = array_merge([], ...array_map(fn (string $each) => explode(' ', $each), $unread));
        $sought = [
            ...array_map(fn (string $word) => [$word, Names::nearest($word, $herbs), $this->cupboard->herb(...)], $words),
            ...array_map(fn (array $oil) => [$oil['name'], Names::nearest($oil['name'], $carriers), $this->cupboard->carrier(...)], $named),
        ];
        $says = [];
        foreach ($sought as [$word, $near, $thing]) {
            // A word of many names is the name of none; a whole name was left out for what stood beside it.
            if ($near !== [] && count($near) <= self::MOST_MEANT && ! $this->isName($word)) {
                $names = array_map(fn (string|int $id) => $thing((string) $id)->name, array_keys($near));
                $says[] = sprintf('“%s” may be %s. Write it so, or choose it in the sentence, if it is.', $word, implode(' or ', $names));
            }
        }

        return $says;
    }

    private function isName(string $word): bool
    {
        return $this->cupboard->herbNamed($word) !== null || $this->cupboard->carrierNamed($word) !== null;
    }
}
