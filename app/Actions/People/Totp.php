<?php

namespace App\Actions\People;

use ParagonIE\ConstantTime\Base32;

/** Codes by the clock, after RFC 6238 (of HOTP, RFC 4226): HMAC-SHA-1, half a minute each, six figures. */
final class Totp
{
    /** RFC 6238, 5.2: the step it recommends, s. */
    public const STEP_S = 30;

    private const DIGITS = 6;

    /** RFC 4226, 4: a secret of 160 bits is recommended. */
    private const BYTES = 20;

    /** RFC 6238, 5.2: one step before and after, for a clock that goes wrong and a code that was typed slowly. */
    private const ASTRAY = 1;

    /** @return string a new secret, base32 without padding */
    public static function secret(): string
    {
        return Base32::encodeUpperUnpadded(random_bytes(self::BYTES));
    }

    /**
     * @param  string  $secret base32
     * @param  int  $step how many half minutes since 1970
     */
    public static function code(string $secret, int $step, int $digits = self::DIGITS): string
    {
        $hash = hash_hmac('sha1', pack('J', $step), Base32::decodeUpper($secret), true);
        // RFC 4226, 5.3: four bytes from where the last one points, without the sign.
        $from = ord($hash[19]) & 0x0F;
        $bits = unpack('N', substr($hash, $from, 4));
        $number = (is_array($bits) && is_int($bits[1]) ? $bits[1] : 0) & 0x7FFF_FFFF;

        return str_pad((string) ($number % 10 ** $digits), $digits, '0', STR_PAD_LEFT);
    }

    /**
     * @param  int  $now seconds since 1970
     * @param  int  $after of the last step whose code was taken, none of which is taken again
     * @return ?int the step that it is the code of; null where it is of none
     */
    public static function matches(string $secret, string $typed, int $now, int $after): ?int
    {
        $step = intdiv($now, self::STEP_S);
        $found = null;
        for ($i = $step - self::ASTRAY; $i <= $step + self::ASTRAY; $i++) {
            if (hash_equals(self::code($secret, $i), $typed) && $i > $after) {
                $found = $i;
            }
        }

        return $found;
    }

    /** What a phone reads from the picture: the key URI that authenticator apps take. */
    public static function address(string $secret, string $email): string
    {
        return 'otpauth://totp/'.
            rawurlencode("Warm Kettle:{$email}").
            '?'.
            http_build_query(
                ['secret' => $secret, 'issuer' => 'Warm Kettle', 'algorithm' => 'SHA1', 'digits' => self::DIGITS, 'period' => self::STEP_S],
                '',
                '&',
                PHP_QUERY_RFC3986,
            );
    }
}
