<?php

namespace App\Pages\Boil;

use App\Models\Boil;
use Kettle\Material\Cupboard;
use Kettle\Reason\Listing;

/**
 * What is boiled down as a sentence whose words are changed in place: made of what was typed, so that it stands also where it
 * cannot be reckoned. Words that nobody chose are lighter.
 *
 * @phpstan-type Piece array{slot: ?string, text: string, chosen: bool}
 */
final readonly class BoilSentence
{
    private const STAGES = [
        'whole' => 'Decoction, cleansing and cooking',
        'cleanse' => 'Cleansing',
        'cook' => 'Cooking',
    ];

    private const HARDNESS = [
        'soft' => 'leaf, flower or soft herb',
        'medium' => 'stem, seed or soft root',
        'very-hard' => 'hard root or bark',
    ];

    private const LIQUIDS = ['milk' => 'milk', 'curd-water' => 'curd water', 'juice' => 'fresh juice'];

    public function __construct(private Cupboard $cupboard) {}

    /**
     * @param  'decoction'|'long-oil'|'glycerin'  $what
     * @param  array<string, mixed>  $typed the fields as they were typed, what was left blank left out
     * @return list<Piece>
     */
    public function of(string $what, array $typed): array
    {
        $pieces = match ($what) {
            'decoction' => $this->decoction($typed),
            'glycerin' => $this->glycerin($typed),
            'long-oil' => $this->longOil($typed),
        };

        return [...$pieces, self::plain('.')];
    }

    /**
     * @param  array<string, mixed>  $typed
     * @return list<Piece>
     */
    private function decoction(array $typed): array
    {
        $amount = match (true) {
            isset($typed['herb']) => [self::text($typed, 'herb').' of herb', 'boiled down of '],
            isset($typed['water']) => [self::text($typed, 'water').' of water', 'boiled down with '],
            isset($typed['want']) => [self::text($typed, 'want').' of decoction', 'of '],
            default => ['As much decoction as the pot holds', 'of '],
        };

        return [
            self::slot('amount', $amount[0], count(array_intersect_key($typed, ['herb' => 1, 'water' => 1, 'want' => 1])) > 0),
            self::plain(', '.$amount[1]),
            $this->herbs($typed),
            self::plain(', in '),
            self::pot($typed),
        ];
    }

    /**
     * @param  array<string, mixed>  $typed
     * @return list<Piece>
     */
    private function glycerin(array $typed): array
    {
        $herbs = $this->names($typed, 'herbs');
        $now = self::text($typed, 'extract_now');

        return [
            self::slot('amount', self::text($typed, 'total') ?: 'So much', isset($typed['total'])),
            self::plain(' of glycerin extract of '),
            self::slot('herbs', $herbs === [] ? 'a herb' : Listing::of($herbs), $herbs !== []),
            self::plain(', '),
            self::slot('share', rtrim(self::text($typed, 'share') ?: '80', '% ').' % glycerin', isset($typed['share'])),
            self::plain(', the strained extract '),
            self::slot('now', $now === '' ? 'not weighed yet' : "weighing {$now}", $now !== ''),
            ...isset($typed['rate']) ? [self::plain(', losing '), self::slot('pot', self::text($typed, 'rate').' an hour', true)] : [],
        ];
    }

    /**
     * @param  array<string, mixed>  $typed
     * @return list<Piece>
     */
    private function longOil(array $typed): array
    {
        $stage = self::text($typed, 'stage') ?: 'whole';
        $known = array_values(array_filter(['oil', 'paste', 'decoction'], fn (string $each) => isset($typed[$each])));
        $said = $known !== [];
        $amount = match ($known[0] ?? '') {
            'oil' => self::text($typed, 'oil').' of',
            'paste' => 'what '.self::text($typed, 'paste').' of paste is for, of',
            'decoction' => 'what '.self::text($typed, 'decoction').' of decoction is for, of',
            default => 'as much as the pot holds, of',
        };
        $paste = $this->names($typed, 'paste_herbs');
        $hours = rtrim(self::text($typed, 'hours_a_day'), 'h ');

        return [
            self::slot('done', self::STAGES[$stage] ?? $stage, true),
            self::plain($stage === 'whole' ? ' of ' : ' '),
            self::slot('amount', $amount, $said),
            self::plain(' '),
            $this->oil($typed, $stage),
            self::plain(', with a paste of '),
            self::slot('paste', $paste === [] ? 'a herb' : Listing::of($paste), $paste !== []),
            ...$stage === 'cleanse' ? [] : [self::plain(', cooked in '), $this->liquid($typed, $stage)],
            self::plain(', in '),
            self::pot($typed),
            self::plain(', '),
            self::slot('hours', ($hours === '' ? '6 to 10' : $hours).' hours a day', $hours !== ''),
            self::plain(', for '),
            self::slot('purpose', ($typed['purpose'] ?? 'skin') === 'kitchen' ? 'the kitchen' : 'the skin', isset($typed['purpose'])),
        ];
    }

    /**
     * @param  array<string, mixed>  $typed
     * @return Piece
     */
    private function oil(array $typed, string $stage): array
    {
        $from = $stage === 'cook' ? $this->from($typed, 'oil_from') : null;
        $id = self::text($typed, 'carrier');
        $name = $this->cupboard->carrierOrNull($id)->name ?? $id ?: 'oil';

        return self::slot('carrier', $from ?? (str_contains($name, 'oil') || str_contains($name, 'butter') ? $name : "{$name} oil"), true);
    }

    /**
     * @param  array<string, mixed>  $typed
     * @return Piece
     */
    private function liquid(array $typed, string $stage): array
    {
        $liquid = self::text($typed, 'liquid') ?: 'decoction';
        $from = $stage === 'cook' ? $this->from($typed, 'liquid_from') : null;
        if ($from !== null || isset(self::LIQUIDS[$liquid])) {
            return self::slot('liquid', $from ?? self::LIQUIDS[$liquid], true);
        }

        return ['slot' => 'liquid', 'text' => 'a decoction of '.$this->herbs($typed)['text']] + $this->herbs($typed);
    }

    /** @param  array<string, mixed>  $typed */
    private function from(array $typed, string $field): ?string
    {
        $uid = self::text($typed, $field);
        $boil = $uid === '' ? null : Boil::query()->where('uid', $uid)->first();

        return $boil === null ? ($uid === '' ? null : 'a pot that is not here') : "{$boil->code}, ".lcfirst($boil->name);
    }

    /**
     * @param  array<string, mixed>  $typed
     * @return Piece by name, or by how hard they are
     */
    private function herbs(array $typed): array
    {
        $herbs = $this->names($typed, 'herbs');
        $hardness = self::text($typed, 'hardness');

        return self::slot(
            'herbs',
            $herbs === [] ? self::HARDNESS[$hardness] ?? 'a herb' : Listing::of($herbs),
            $herbs !== [] || isset(self::HARDNESS[$hardness]),
        );
    }

    /**
     * @param  array<string, mixed>  $typed
     * @return Piece
     */
    private static function pot(array $typed): array
    {
        [$width, $height, $rate] = [self::text($typed, 'width'), self::text($typed, 'height'), self::text($typed, 'rate')];
        $size = implode(' and ', array_filter([$width === '' ? '' : "{$width} wide", $height === '' ? '' : "{$height} high"]));

        return self::slot(
            'pot',
            ($size === '' ? 'a pot not measured' : "a pot {$size}").($rate === '' ? '' : " that loses {$rate} an hour"),
            $size !== '' || $rate !== '',
        );
    }

    /**
     * @param  array<string, mixed>  $typed
     * @return list<string>
     */
    private function names(array $typed, string $field): array
    {
        $ids = is_array($typed[$field] ?? null) ? array_filter($typed[$field], is_string(...)) : [];

        return array_values(array_map(fn (string $id) => $this->cupboard->herbName($id) ?? mb_substr($id, 0, 40), $ids));
    }

    /** @param  array<string, mixed>  $typed */
    private static function text(array $typed, string $field): string
    {
        return is_string($typed[$field] ?? null) ? trim($typed[$field]) : '';
    }

    /** @return Piece */
    private static function plain(string $text): array
    {
        return ['slot' => null, 'text' => $text, 'chosen' => false];
    }

    /** @return Piece */
    private static function slot(string $slot, string $text, bool $chosen): array
    {
        return ['slot' => $slot, 'text' => $text, 'chosen' => $chosen];
    }
}
