<?php

namespace App\Actions\People;

use App\Models\SecondStep;
use App\Models\User;
use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\RateLimiter;
use ParagonIE\ConstantTime\Base32;

/** The second step at the door: begun, confirmed, asked for, taken, turned off. */
final readonly class SecondStepAtDoor
{
    private const CODES = 10;

    /** Of a code on paper: 50 bits, which nobody guesses in so many tries. */
    private const CODE_LETTERS = 10;

    /** Wrong codes of one account, from wherever, before it is waited. */
    private const TRIES = 10;

    private const TRIES_S = 900;

    public function __construct(private Trail $trail) {}

    public function of(User $user): ?SecondStep
    {
        return SecondStep::query()->whereKey($user->id)->whereNotNull('confirmed_at')->first();
    }

    public function codesLeft(User $user): int
    {
        return DB::table('recovery_codes')->where('user_id', $user->id)->whereNull('used_at')->count();
    }

    /**
     * @return string the secret, base32, that a phone is to have
     *
     * @throws SecondStepException where it is on already
     */
    public function begin(User $user): string
    {
        $this->of($user) === null || throw SecondStepException::on();
        $secret = Totp::secret();
        SecondStep::query()->updateOrCreate(['user_id' => $user->id], ['secret' => $secret, 'confirmed_at' => null, 'last_step' => 0]);

        return $secret;
    }

    /**
     * Once a first code shows that the phone has the secret.
     *
     * @return list<string> the codes for paper
     *
     * @throws SecondStepException
     */
    public function confirm(User $user, string $code): array
    {
        $this->of($user) === null || throw SecondStepException::on();
        $step = SecondStep::query()->whereKey($user->id)->lockForUpdate()->first() ?? throw SecondStepException::notBegun();
        $matched = Totp::matches(self::secret($step), self::typed($code), Carbon::now()->getTimestamp(), $step->last_step);
        $matched ?? throw SecondStepException::wrong();
        $step->update(['confirmed_at' => Carbon::now(), 'last_step' => $matched]);
        $this->trail->account(Trail::SECOND_ON, $user);

        return $this->codes($user);
    }

    /**
     * @return list<string> new codes for paper; those before are good no more
     *
     * @throws SecondStepException where it is not on
     */
    public function renew(User $user): array
    {
        $this->of($user) ?? throw SecondStepException::notBegun();
        $this->trail->account(Trail::PAPER_CODES, $user);

        return $this->codes($user);
    }

    /** @return list<string> */
    private function codes(User $user): array
    {
        $codes = [];
        for ($i = 0; $i < self::CODES; $i++) {
            $letters = substr(Base32::encodeUnpadded(random_bytes(8)), 0, self::CODE_LETTERS);
            $codes[] = implode('-', str_split($letters, 5));
        }
        DB::transaction(function () use ($user, $codes): void {
            DB::table('recovery_codes')->where('user_id', $user->id)->delete();
            DB::table('recovery_codes')->insert(
                array_map(fn (string $code) => ['user_id' => $user->id, 'code_hash' => self::hash($code)], $codes),
            );
        });

        return $codes;
    }

    public function off(User $user, ?string $from = null): void
    {
        $was = $this->of($user) !== null;
        SecondStep::query()->whereKey($user->id)->delete();
        DB::table('recovery_codes')->where('user_id', $user->id)->delete();
        $was && $this->trail->account(Trail::SECOND_OFF, $user, from: $from);
    }

    /**
     * Lets pass who has none, or gives a code that is right: of the app, or one from paper, each once.
     *
     * @throws SecondStepException
     */
    public function pass(User $user, string $code): void
    {
        $step = $this->of($user);
        if ($step === null) {
            return;
        }
        $typed = self::typed($code);
        $typed !== '' || throw SecondStepException::wanted();
        $key = "second:{$user->id}";
        ! RateLimiter::tooManyAttempts($key, self::TRIES) || throw SecondStepException::tooOften();
        if (! $this->byApp($step, $typed) && ! $this->byPaper($user, $typed)) {
            RateLimiter::hit($key, self::TRIES_S);
            $this->trail->account(Trail::CODE_REFUSED, $user);
            throw SecondStepException::wrong();
        }
    }

    private function byApp(SecondStep $step, string $typed): bool
    {
        $matched = Totp::matches(self::secret($step), $typed, Carbon::now()->getTimestamp(), $step->last_step);

        // Of two who send the same code at once only one comes in.
        return $matched !== null &&
            SecondStep::query()
                ->whereKey($step->user_id)
                ->where('last_step', '<', $matched)
                ->update(['last_step' => $matched]) === 1;
    }

    private function byPaper(User $user, string $typed): bool
    {
        $used = DB::table('recovery_codes')
            ->where('user_id', $user->id)
            ->where('code_hash', self::hash($typed))
            ->whereNull('used_at')
            ->update(['used_at' => Carbon::now()]);
        $used === 0 || $this->trail->account(Trail::PAPER_CODE, $user);

        return $used === 1;
    }

    /** Where the house's key is another than it was shut with it opens nothing; codes on paper still do. */
    private static function secret(SecondStep $step): string
    {
        try {
            $secret = $step->getAttribute('secret');

            return is_string($secret) ? $secret : '';
        } catch (DecryptException) {
            return Totp::secret();
        }
    }

    private static function typed(string $code): string
    {
        return strtolower((string) preg_replace('/[\s-]+/', '', $code));
    }

    private static function hash(string $code): string
    {
        return hash('sha256', 'recovery '.self::typed($code));
    }
}
