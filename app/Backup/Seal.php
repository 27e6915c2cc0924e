<?php

namespace App\Backup;

/**
 * A short text shut with a passphrase: XChaCha20-Poly1305 under a key of argon2id (libsodium's own), so that a wrong
 * passphrase, or one letter changed, opens nothing.
 */
final class Seal
{
    private const FORMAT = 'warm-kettle-seal-1';

    /** A shorter passphrase is guessed. */
    public const LEAST = 12;

    /** @throws SealException when the passphrase is too short */
    public static function shut(string $text, #[\SensitiveParameter] string $passphrase): string
    {
        if (mb_strlen($passphrase) < self::LEAST) {
            throw SealException::short(self::LEAST);
        }
        $salt = random_bytes(SODIUM_CRYPTO_PWHASH_SALTBYTES);
        $nonce = random_bytes(SODIUM_CRYPTO_SECRETBOX_NONCEBYTES);
        $sealed = sodium_crypto_secretbox($text, $nonce, self::key($passphrase, $salt));

        return implode("\n", [self::FORMAT, base64_encode($salt), base64_encode($nonce), base64_encode($sealed), '']);
    }

    /** @throws SealException when it is no seal, is damaged, or the passphrase is another */
    public static function open(string $sealed, #[\SensitiveParameter] string $passphrase): string
    {
        $lines = explode("\n", $sealed);
        $parts = array_map(fn (string $line): string => (string) base64_decode($line, true), array_slice($lines, 1, 3));
        [$salt, $nonce, $box] = [...$parts, '', '', ''];
        if (
            $lines[0] !== self::FORMAT ||
            strlen($salt) !== SODIUM_CRYPTO_PWHASH_SALTBYTES ||
            strlen($nonce) !== SODIUM_CRYPTO_SECRETBOX_NONCEBYTES
        ) {
            throw SealException::none();
        }
        // Shut with no shorter one, none opens it; and no key is made of an empty one.
        $text = mb_strlen($passphrase) < self::LEAST ? false : sodium_crypto_secretbox_open($box, $nonce, self::key($passphrase, $salt));

        return $text === false ? throw SealException::wrong() : $text;
    }

    private static function key(#[\SensitiveParameter] string $passphrase, string $salt): string
    {
        return sodium_crypto_pwhash(
            SODIUM_CRYPTO_SECRETBOX_KEYBYTES,
            $passphrase,
            $salt,
            SODIUM_CRYPTO_PWHASH_OPSLIMIT_MODERATE,
            SODIUM_CRYPTO_PWHASH_MEMLIMIT_INTERACTIVE,
            SODIUM_CRYPTO_PWHASH_ALG_ARGON2ID13,
        );
    }
}
