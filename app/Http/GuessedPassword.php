<?php

namespace App\Http;

use App\Models\User;
use Closure;
use Illuminate\Contracts\Validation\DataAwareRule;
use Illuminate\Contracts\Validation\ValidationRule;
use Illuminate\Support\Facades\Auth;

/**
 * Refuses what is guessed first: a password that many have, one made of few letters, or of one's own name and address.
 * The common ones are of @zxcvbn-ts/language-common, MIT, which ships with the interface's packages.
 */
final class GuessedPassword implements DataAwareRule, ValidationRule
{
    private const LIST = 'node_modules/@zxcvbn-ts/language-common/src/passwords.json';

    /** Fewer different letters are a row of one key, or of two. */
    private const DIFFERENT = 5;

    /** A shorter name is in many words. */
    private const NAME = 4;

    /** @var array<string, int>|null */
    private static ?array $common = null;

    /** @var array<string, mixed> */
    private array $data = [];

    /** @return list<string|self> the rules of every new password */
    public static function rules(): array
    {
        return ['bail', 'required', 'string', 'min:10', 'max:200', new self()];
    }

    /** @param  array<string, mixed>  $data */
    public function setData(array $data): self
    {
        $this->data = $data;

        return $this;
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $typed = mb_strtolower(is_string($value) ? $value : '');
        $user = Auth::user();
        $own = array_filter([
            ...array_map($this->own(...), ['email', 'name', 'house']),
            mb_strtolower($user instanceof User ? $user->email : ''),
        ]);
        match (true) {
            isset(self::common()[$typed]) => $fail(
                'That password is among those that are tried first. Take a few words that nobody would put together.',
            ),
            count(array_unique(mb_str_split($typed))) < self::DIFFERENT => $fail(
                'That password is made of a few letters over and over. Take a few words.',
            ),
            self::isOf($typed, $own) => $fail('That password is your own name or address. Take a few words that are not about you.'),
            default => null,
        };
    }

    private function own(string $field): string
    {
        $value = $this->data[$field] ?? '';

        return is_string($value) ? mb_strtolower(trim($value)) : '';
    }

    /** @param  array<string>  $own */
    private static function isOf(string $typed, array $own): bool
    {
        $letters = fn (string $text): string => (string) preg_replace('/[^\p{L}]+/u', '', $text);
        foreach ($own as $each) {
            $name = $letters(strstr($each, '@', true) ?: $each);
            if ($typed === $each || (mb_strlen($name) >= self::NAME && $letters($typed) === $name)) {
                return true;
            }
        }

        return false;
    }

    /** @return array<string, int> by the password */
    private static function common(): array
    {
        if (self::$common === null) {
            $list = json_decode((string) file_get_contents(base_path(self::LIST)), true, flags: JSON_THROW_ON_ERROR);
            self::$common = array_flip(array_filter((array) $list, 'is_string'));
        }

        return self::$common;
    }
}
