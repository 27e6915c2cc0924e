<?php

namespace App\Http\Requests;

use App\Http\UnknownFields;
use Illuminate\Foundation\Http\FormRequest;
use Kettle\Ask\Schemas;
use Kettle\Recipe\WishException;

/** A request body with rules, refused in plain sentences. */
abstract class Form extends FormRequest
{
    /** The schema of what is sent as "wish". */
    public const WISH = 'Wish';

    /** What things and people are called stands on one line, on a label and in a list. */
    private const ONE_LINE = ['name', 'called', 'to', 'where'];

    /** The present password, of who changes how one comes in, or ends something. */
    protected const PRESENT = ['bail', 'required', 'string', 'max:200', 'current_password'];

    /** Whether somebody may is settled by the route, before the form is read. */
    public function authorize(): bool
    {
        return true;
    }

    /** @return array<string, mixed> */
    abstract public function rules(): array;

    /**
     * Refuses what is not asked for, before anything else is looked at.
     *
     * @throws WishException
     */
    protected function prepareForValidation(): void
    {
        $sent = $this->isJson() ? $this->json()->all() : $this->request->all();
        $faults = UnknownFields::in($this->rules(), $sent);
        if ($faults !== []) {
            throw WishException::faults($faults);
        }
        foreach (self::ONE_LINE as $field) {
            $typed = $this->input($field);
            is_string($typed) && $this->merge([$field => trim(preg_replace('/[\s\p{Cc}]+/u', ' ', $typed) ?? $typed)]);
        }
        foreach ($this->figures() as $field => $read) {
            $typed = $this->input($field);
            $figure = is_string($typed) ? $read($typed) : null;
            // What is no figure stays as it was typed, and is refused by its rule.
            if ($figure !== null) {
                $this->merge([$field => $figure === floor($figure) ? (int) $figure : $figure]);
            }
        }
    }

    /**
     * Fields that take a number as people write it, "18,5" or "20 drops", beside one that is a number already.
     *
     * @return array<string, \Closure(string): ?float> each with what reads it: null where it is none
     */
    public function figures(): array
    {
        return [];
    }

    /**
     * What was typed in some fields, less what was left blank.
     *
     * @template K of string
     *
     * @param  list<K>  $fields
     * @return array<K, string>
     */
    protected function written(array $fields): array
    {
        $written = [];
        foreach ($fields as $field) {
            $text = $this->input($field);
            if (is_string($text) && trim($text) !== '') {
                $written[$field] = trim($text);
            }
        }

        return $written;
    }

    /** A wish is what docs/formats/wish.schema.json says, and nothing else; the house is the one that is entered. */
    protected function passedValidation(): void
    {
        $own = $this->input('own');
        if (is_array($own)) {
            app(Schemas::class)->own($own);
        }
        $wish = $this->input('wish');
        if (! is_array($wish)) {
            return;
        }
        if (array_key_exists('house', $wish)) {
            throw WishException::one('house', 'unknown_field', 'The house of a wish is the one it is sent to. Leave it out.');
        }
        app(Schemas::class)->wish($wish);
    }

    /** @return array<string, string|array<string, string>> */
    public function messages(): array
    {
        return [
            'required' => 'Fill in :attribute.',
            'required_without' => 'Fill in :attribute.',
            'required_with' => 'Fill in :attribute.',
            'required_if' => 'Fill in :attribute.',
            'present' => 'Fill in :attribute.',
            'string' => ':Attribute must be written as text.',
            'array' => ':Attribute must be a list or an object.',
            'integer' => ':Attribute must be a whole number.',
            'numeric' => ':Attribute must be a number.',
            'boolean' => ':Attribute is either true or false.',
            'email' => '“:input” is not an e-mail address. Write it like name@example.org.',
            'unique' => 'There is an account for that e-mail address already. Sign in instead.',
            'max' => [
                'string' => ':Attribute takes at most :max letters.',
                'numeric' => ':Attribute is at most :max.',
                'array' => ':Attribute takes at most :max.',
            ],
            'min' => [
                'string' => ':Attribute takes at least :min letters.',
                'numeric' => ':Attribute is at least :min.',
                'array' => ':Attribute takes at least :min.',
            ],
            'between' => ['numeric' => ':Attribute lies between :min and :max.'],
            'in' => ':Attribute must be one of those listed.',
            'prohibited_unless' => ':Attribute is not asked for with that, and would be lost. Leave it out.',
            'prohibits' => ':Attribute is given beside another that says the same. Leave one of the two out.',
            'timezone' => '“:input” is not a time zone. Write it like Europe/London.',
            'regex' => ':Attribute is not written as it should be.',
            'current_password' => 'That is not your present password.',
            'date_format' => ':Attribute must be a day, written like 2026-12-12.',
        ];
    }
}
