<?php

declare(strict_types=1);

namespace Kettle\Recipe;

use Kettle\Caution\Cautions;
use Kettle\Diary\Availability;
use Kettle\Infusion\Methods;
use Kettle\Infusion\OwnHours;
use Kettle\Material\Cupboard;
use Kettle\Material\Own;
use Kettle\Material\Row;
use Kettle\Material\State;
use Kettle\Measure\AmountWriter;
use Kettle\Measure\Kind;
use Kettle\Measure\MeasureSystem;
use Kettle\Reason\Listing;
use Kettle\Reason\RefusedException;
use Kettle\Reason\Said;
use Kettle\Reason\Wording;
use Kettle\Time\Dates;

/**
 * Makes sentences of what is kept of them: the words of data/words.json and of the tables, filled by one cook's measures,
 * degrees, dates and money. Plurals and choices are ICU message syntax; a name in braces with a capital begins with one.
 */
final class Words
{
    /** @var array<string, \MessageFormatter> those that choose, read once */
    private static array $messages = [];

    private readonly Row $words;

    private readonly Methods $methods;

    private readonly Cautions $cautions;

    public function __construct(private readonly Kitchen $kitchen)
    {
        $this->words = $kitchen->cupboard()->tables()->table('words')->row('rows');
        $this->methods = $kitchen->methods();
        $this->cautions = Cautions::of($kitchen->cupboard()->tables());
    }

    /** For names and what else is said alike in every kitchen. */
    public static function plain(Cupboard $cupboard): self
    {
        return new self(
            new Kitchen(new \DateTimeImmutable('@0'), Availability::between('07:00', '22:00'), MeasureSystem::Metric, 20.0, [], $cupboard),
        );
    }

    /** @param  Said|string|array<mixed>|null  $said a sentence, or as it was kept; words alone are themselves */
    public function of(Said|string|array|null $said): string
    {
        $said = Said::read($said);

        return match ($said?->code) {
            null => '',
            Said::JUST => $this->thing($said->with['it'] ?? ''),
            default => $this->fill($this->template($said->code), $said->with),
        };
    }

    /**
     * A tree in words: with every sentence in it, and every thing of a kind, said.
     *
     * @template K of array-key
     *
     * @param  array<K, mixed>  $tree
     * @return array<K, mixed>
     */
    public function tell(array $tree): array
    {
        foreach ($tree as $key => $each) {
            if ($each instanceof Said || Said::isKept($each)) {
                $tree[$key] = $this->of($each);
            } elseif (is_array($each)) {
                $tree[$key] = $this->tell($each);
            }
        }

        return $tree;
    }

    /**
     * Data as it leaves the house: in words, and beside them as they are kept where that is not the same.
     *
     * @param  array<mixed>  $data
     * @return array{data: array<mixed>, kept?: object}
     */
    public function toldAndKept(array $data): array
    {
        $told = $this->tell($data);

        return ['data' => $told] + ($told === $data ? [] : ['kept' => (object) $data]);
    }

    /** Numbers as they are said, names as they stand, and things of a kind in their measures. */
    public function thing(mixed $value): string
    {
        if (is_string($value)) {
            return $value;
        }
        if (is_int($value) || is_float($value)) {
            return Wording::number((float) $value);
        }
        if ($value instanceof Said || Said::isKept($value)) {
            return $this->of($value);
        }

        return is_array($value) && count($value) === 1 && is_string($kind = array_key_first($value))
            ? $this->ofKind($kind, $value[$kind])
            : '';
    }

    /**
     * A sentence with its braces filled. Its plurals and choices are made first, of the numbers that go in.
     *
     * @param  array<mixed>  $with
     */
    public function fill(string $words, array $with): string
    {
        if (! str_contains($words, '{')) {
            return $words;
        }
        if (str_contains($words, ', plural,') || str_contains($words, ', select,')) {
            $words = self::chosen($words, $with);
        }

        // By hand, for it is done for every line of every plan that is told.
        $pieces = explode('{', $words);
        $filled = array_shift($pieces);
        foreach ($pieces as $piece) {
            $parts = explode('}', $piece, 2);
            if (count($parts) < 2) {
                $filled .= '{'.$piece;

                continue;
            }
            [$name, $rest] = $parts;
            if (isset($with[$name])) {
                $filled .= $this->thing($with[$name]).$rest;
            } else {
                $word = $this->thing($with[lcfirst($name)] ?? '');
                $filled .= mb_strtoupper(mb_substr($word, 0, 1)).mb_substr($word, 1).$rest;
            }
        }

        return $filled;
    }

    /** Where a sentence's words stand; empty for what the tables have no longer. */
    private function template(string $code): string
    {
        if (! str_contains($code, ':')) {
            return $code === Said::AS_IT_STOOD ? '{words}' : $this->kitchen->inDegrees($this->words->textIn($code, 'says') ?? '');
        }
        [$table, $id] = explode(':', $code, 2);
        [$row, $key] = array_pad(explode('.', $id, 2), 2, '');

        return $this->kitchen->inDegrees(
            match ($table) {
                'caution' => $this->caution($row, $key),
                'handling' => $this->found(fn () => $this->methods->method($row)->tending->line($key)),
                'school' => OwnHours::isId($key)
                    ? $this->template($key === OwnHours::ID ? 'school.own-why' : 'school.kept-why')
                    : $this->found(fn () => $this->methods->method($row)->variant($key)->why),
                'heed' => ($this->kitchen->cupboard()->heeds()[$id] ?? null)->name ?? $id,
                'source' => $this->cautions->source($id),
                default => '',
            },
        );
    }

    private function caution(string $id, string $key): string
    {
        foreach ($this->cautions->all() as $rule) {
            if ($rule->id === $id) {
                return match ($key) {
                    'says' => $rule->says,
                    'why' => $rule->why,
                    'label' => $rule->label,
                    default => '',
                };
            }
        }

        return '';
    }

    /** @param  \Closure(): string  $words */
    private function found(\Closure $words): string
    {
        try {
            return $words();
        } catch (RefusedException) {
            return '';
        }
    }

    /**
     * Plurals and choices made by ICU; what else goes into the words is put in afterwards, as its kind has it.
     *
     * @param  array<mixed>  $with
     */
    private static function chosen(string $words, array $with): string
    {
        preg_match_all('/\{(\w+), (?:plural|select),/', $words, $choosers);
        $by = array_map(
            fn (mixed $value) => is_int($value) || is_float($value) ? $value : self::text($value),
            array_intersect_key($with, array_flip($choosers[1])),
        );
        // Names that choose nothing stand as they are until they are filled.
        preg_match_all('/\{(\w+)\}/', $words, $others);
        foreach (array_diff($others[1], $choosers[1]) as $name) {
            $by[$name] = '{'.$name.'}';
        }

        $message = self::$messages[$words] ??= new \MessageFormatter('en', $words);

        return $message->format($by) ?: '';
    }

    private function ofKind(string $kind, mixed $value): string
    {
        if (Dates::knows($kind)) {
            return is_string($value) ? Dates::say($value, $kind) : '';
        }
        if (is_array($value)) {
            return $this->ofSeveral($kind, array_values($value));
        }

        return is_int($value) || is_float($value) ? $this->amount($kind, (float) $value) : $this->name($kind, self::text($value));
    }

    private function amount(string $kind, float $value): string
    {
        return match ($kind) {
            'g_also', 'mL_also' => $this->also($value, Kind::from(substr($kind, 0, -5))),
            'C' => $this->kitchen->warmth($value),
            'money' => $this->kitchen->money($value),
            'g/mL' => number_format($value, 3).' g/mL',
            'min' => self::minutes($value),
            'limit_h' => self::hours($value),
            'iodine' => (string) round($value),
            'index' => (string) round($value, 1),
            '%' => Wording::number($value).' %',
            'mg', 'IU', 'drops', 'capsules', 'days' => Wording::number($value).' '.($value === 1.0 ? rtrim($kind, 's') : $kind),
            'often' => Practice::oftenness($value),
            'count' => Numbers::word((int) $value),
            'mixed' => AmountWriter::mixed($value),
            'share' => Wording::number($value * 100).' %',
            'firmness' => number_format($value, $value < 0.1 && $value > 0 ? 3 : 2),
            'pieces' => Wording::number($value),
            default => ($unit = Kind::tryFrom($kind)) === null
                ? Wording::number($value).' '.$kind
                : AmountWriter::plain($value, $unit),
        };
    }

    private function name(string $kind, string $id): string
    {
        $cupboard = $this->kitchen->cupboard();

        return match ($kind) {
            'herb' => $cupboard->herbName($id) ?? $id,
            'part' => $cupboard->herbOrNull($id)->part ?? '',
            'look_alikes' => $cupboard->herbOrNull($id)->lookAlikes ?? '',
            'oil' => $cupboard->oilName($id) ?? $id,
            'wax' => $cupboard->waxOrNull($id)->name ?? $id,
            'scent' => $cupboard->scentOrNull($id)->name ?? $id,
            'addition' => ($cupboard->additions()[$id] ?? null)->name ?? $id,
            'product' => $cupboard->productName($id) ?? $id,
            'product_note' => $this->inTable('products', 'rows', $id, 'note'),
            'band' => $this->inTable('melt', 'bands', $id, 'name'),
            'worth' => $this->inTable('solvents', 'worths', $id, 'name'),
            'solvent' => $this->inTable('solvents', 'solvents', $id, 'name'),
            'purpose' => ($cupboard->purposes()[$id] ?? null)->name ?? $id,
            'way' => $this->words->rowOrNull('way.'.$id)?->text('says') ?? $id,
            'method' => $this->found(fn () => $this->methods->method($id)->name) ?: $id,
            'method_short' => $this->words->rowOrNull('method-short.'.$id)?->text('says') ?? $this->name('method', $id),
            'sign' => $this->inTable('faults', 'signs', $id, 'says'),
            'fault' => $this->inTable('faults', 'causes', $id, 'name'),
            'on_method' => $this->found(fn () => $this->methods->method($id)->inSentence) ?: $id,
            // A unit whose value is told as a day.
            'date' => Dates::say($id, 'short_day'),
            default => $id,
        };
    }

    /** @param  list<mixed>  $values */
    private function ofSeveral(string $kind, array $values): string
    {
        return match ($kind) {
            'all' => $this->all($values),
            'each' => implode('; ', array_map($this->thing(...), $values)),
            'in_a_row' => implode(' ', array_map($this->thing(...), $values)),
            'run' => implode('', array_map($this->thing(...), $values)),
            'ratio' => implode(
                $this->template('words.to'),
                array_map(fn (mixed $part) => is_int($part) ? Numbers::word($part) : $this->thing($part), $values),
            ),
            'form' => $this->form(...self::texts($values, 2)),
            'form_of' => $this->formOf(...[...self::texts($values, 2), $this->thing($values[2] ?? '')]),
            'school' => $this->school(...self::texts($values, 2)),
            'infused' => $this->of(Said::of('melt.infused', ['herbs' => $values[0] ?? '', 'day' => $values[1] ?? ''])),
            'answer' => $this->answer(...self::texts($values, 3)),
            'kept' => $this->keeping(...self::texts($values, 2)),
            default => '',
        };
    }

    /** What was kept may be anything that somebody's file has in its place. */
    private static function text(mixed $value): string
    {
        return is_scalar($value) ? (string) $value : '';
    }

    /**
     * @param  list<mixed>  $values
     * @return list<string> so many
     */
    private static function texts(array $values, int $count): array
    {
        return array_map(fn (int $i) => self::text($values[$i] ?? ''), range(0, $count - 1));
    }

    private function school(string $method, string $id): string
    {
        if (! OwnHours::isId($id)) {
            return $this->found(fn () => $this->methods->method($method)->variant($id)->name);
        }

        return $this->kitchen->cupboard()->schoolOrNull($id)->name ?? $this->template('school.own');
    }

    private function form(string $id, string $state): string
    {
        $form = $this->kitchen->cupboard()->forms()[$id] ?? null;

        return $form === null ? $id : $this->found(fn () => $form->in(State::tryFrom($state) ?? State::Dried)->name);
    }

    /** How it is cut, without what the plant's own name says already: "marshmallow root, dried and cut". */
    private function formOf(string $id, string $state, string $plant): string
    {
        $name = $this->form($id, $state);
        $plain = ($this->kitchen->cupboard()->forms()[$id] ?? null)->plain ?? '';
        $bare = preg_replace('/^'.preg_quote($plain, '/').',\s*/u', '', $name) ?? $name;

        return $bare !== $name && preg_match('/\b'.preg_quote($plain, '/').'\b/iu', $plant) === 1 ? $bare : $name;
    }

    /** A word of a row of one of the lists of data/faults.json. */
    private function inTable(string $table, string $list, string $id, string $word): string
    {
        foreach ($this->kitchen->cupboard()->tables()->table($table)->rows($list) as $row) {
            if ($row->text('id') === $id) {
                return $row->text($word);
            }
        }

        return $id;
    }

    /** What was answered when a lot, or what was bottled, was looked at. */
    private function answer(string $kind, string $ask, string $answer): string
    {
        foreach ($this->kitchen->cupboard()->tables()->table('checks')->rows('rows') as $row) {
            foreach ($row->text('kind') === $kind ? $row->rows('asks') : [] as $asked) {
                foreach ($asked->text('id') === $ask ? $asked->rows('answers') : [] as $each) {
                    if ($each->text('id') === $answer) {
                        return $each->text('says');
                    }
                }
            }
        }

        return $answer;
    }

    /** A place, a glass, what is put in: the name of a row of a list of data/keeping.json. */
    private function keeping(string $what, string $id): string
    {
        $table = $this->kitchen->cupboard()->tables()->table('keeping');
        $rows = match ($what) {
            'place' => $table->rows('places'),
            'glass' => $table->rows('glass'),
            'antioxidant' => $table->rows('antioxidants'),
            default => $table->row('vitamin_e')->rows('forms'),
        };
        foreach ($rows as $row) {
            if ($row->text('id') === $id) {
                return $row->text('name');
            }
        }

        return $id;
    }

    /** @param  array<mixed>  $things */
    private function all(array $things): string
    {
        return Listing::of(array_map($this->thing(...), array_values($things)));
    }

    private function also(float $value, Kind $kind): string
    {
        return AmountWriter::plain($value, $kind).' ('.$this->kitchen->writer()->kitchen($value, $kind)['text'].')';
    }

    /** "4 h 20 min": a limit of hours is not told in rounded ones. */
    private static function hours(float $hours): string
    {
        return self::hoursAndMinutes((int) ceil($hours * 60 - 1e-9));
    }

    private static function minutes(float $value): string
    {
        $minutes = (int) round($value);

        return $minutes < 120 ? $minutes.' min' : self::hoursAndMinutes($minutes);
    }

    private static function hoursAndMinutes(int $minutes): string
    {
        return intdiv($minutes, 60).' h'.($minutes % 60 === 0 ? '' : ' '.$minutes % 60 .' min');
    }
}
