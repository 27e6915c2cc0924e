<?php

declare(strict_types=1);

namespace Kettle\Share;

use Kettle\Material\Lying;

/** What has been read of a recipe so far, line by line, and what was made of every line. */
final class GatheredRecipe
{
    /** @var list<array{line: string, as: string, says: string, guess: bool}> */
    public array $lines = [];

    /** @var list<array<string, string>> */
    public array $herbs = [];

    /** @var list<array{id: string, name: string, ml: ?float, typed: string}> */
    public array $oils = [];

    /** @var array<string, float> parts of each oil by its name, where amounts are told in parts */
    public array $oilParts = [];

    /** @var array<string, string> how full of herb the jar is, how it lies there and how far it is covered */
    public array $byJar = [];

    /** @var array<string, string> the jar, where it is said */
    public array $jar = [];

    public ?string $purpose = null;

    /** How much herb to how much oil, where it is said, as a wish has it. */
    public ?string $ratio = null;

    /** @var array{string, string}|null the state that what is done with them gives the herbs, and the line that says so */
    public ?array $done = null;

    /** @var array<string, string> dried, wilted or fresh, of plants of which a line with no amount said it, by id */
    public array $states = [];

    public function say(string $line, string $as, string $says, bool $guess): void
    {
        $this->lines[] = ['line' => $line, 'as' => $as, 'says' => $says, 'guess' => $guess];
    }

    /** @param  array{id: string, name: string}  $oil of which it is not said how much */
    public function unmeasured(array $oil): void
    {
        $this->oils[] = ['id' => $oil['id'], 'name' => $oil['name'], 'ml' => null, 'typed' => ''];
    }

    /**
     * "Add a further 400 ml of oil" is of the one oil that was named; "1 cup oil" may be of any.
     *
     * @param  array{id: string, name: string}|null  $oil
     * @return array{id: string, name: string}|null
     */
    public function sameOil(?array $oil): ?array
    {
        $named = array_column(array_filter($this->oils, fn (array $each) => $each['id'] !== ''), 'name', 'id');
        $isAny = $oil !== null && $oil['id'] === '' && preg_match('/^oils?$/iu', $oil['name']) === 1;

        return $isAny && count($named) === 1 ? ['id' => (string) array_key_first($named), 'name' => array_values($named)[0]] : null;
    }

    /** @param  array{array<string, string>|null, string, list<string>}  $read as HerbLine has it */
    public function herb(string $line, array $read): void
    {
        [$herb, $name, $guesses] = $read;
        if ($herb === null) {
            $this->say($line, 'unread', 'Nothing was made of it.', false);

            return;
        }
        $this->put($herb);
        $lies = Lying::in($herb['amount'] ?? '')[1]?->value;
        $this->say(
            $line,
            'herb',
            ucfirst(implode(', ', array_filter([$name, $herb['state'], $lies]))).self::guessed($guesses),
            $guesses !== [],
        );
    }

    /**
     * "Fill a jar with calendula", and then how much of it, or the other way round: the same once.
     *
     * @param  array<string, string>  $herb
     */
    public function put(array $herb): void
    {
        $measured = array_filter($this->herbs, fn (array $each) => isset($each['amount'], $each['id']));
        if (! isset($herb['amount']) && in_array($herb['id'] ?? null, array_column($measured, 'id'), true)) {
            return;
        }
        $bare = array_filter($this->herbs, fn (array $each) => ($each['id'] ?? '') === ($herb['id'] ?? null) && ! isset($each['amount']));
        $this->herbs[array_key_first($bare) ?? count($this->herbs)] = $herb;
    }

    /** @param  list<string>  $guesses */
    public static function guessed(array $guesses): string
    {
        return '.'.($guesses === [] ? '' : ' '.ucfirst(implode('; ', $guesses)).'.');
    }
}
