<?php

namespace App\Http\Requests;

use Kettle\Ask\Schemas;
use Kettle\Recipe\WishException;

/** A product to be reckoned. */
class ReckonProduct extends Form
{
    public const WISH = 'ProductWish';

    /** What the house itself knows, and is asked for only where there is none around. */
    public const OF_THE_HOUSE = ['house', 'batches', 'boils', 'verdicts', 'loss_share', 'hour_rate'];

    public function rules(): array
    {
        return [
            'wish' => ['required', 'array'],
        ];
    }

    /** A product's wish is what docs/formats/reckon.schema.json says of "melt", less what the house knows. */
    protected function passedValidation(): void
    {
        self::hold($this->wish());
    }

    /**
     * @param  array<mixed>  $wish
     *
     * @throws WishException
     */
    public static function hold(array $wish): void
    {
        foreach (self::OF_THE_HOUSE as $field) {
            if (array_key_exists($field, $wish)) {
                throw WishException::one(
                    $field,
                    'unknown_field',
                    sprintf('“%s” is known by the house the wish is sent to. Leave it out.', $field),
                );
            }
        }
        app(Schemas::class)->mode('melt', $wish);
    }

    /** @return array<mixed> */
    public function wish(): array
    {
        $wish = $this->input('wish');

        return is_array($wish) ? $wish : [];
    }
}
