<?php

declare(strict_types=1);

namespace App\Accounts;

use ParagonIE\ConstantTime\Base32;

/**
 * Codes of a second factor by the clock (RFC 6238: TOTP, HMAC-SHA-1, steps of 30 s, six digits; the truncation is RFC 4226, section 5.3).
 */
final readonly class Totp
{
    private const STEP = 30;

    /** @param  string  $key  bytes, 20 as RFC 4226 recommends */
    public function __construct(private string $key)
    {
    }

    public static function fresh(): self
    {
        return new self(random_bytes(20));
    }

    public static function fromBase32(string $text): self
    {
        return new self(Base32::decodeUpper($text));
    }

    public function toBase32(): string
    {
        return Base32::encodeUpperUnpadded($this->key);
    }

    /** What an authenticator reads from a picture of it. */
    public function uri(string $account): string
    {
        return 'otpauth://totp/'.rawurlencode('Larkspur:'.$account).'?secret='.$this->toBase32().'&issuer=Larkspur';
    }

    public static function stepAt(int $time): int
    {
        return intdiv($time, self::STEP);
    }

    public function code(int $step): string
    {
        $hash = hash_hmac('sha1', pack('J', $step), $this->key, true);
        $at = ord($hash[19]) & 0x0F;
        /** @var array{1: int} $number */
        $number = unpack('N', substr($hash, $at, 4));

        return str_pad((string) (($number[1] & 0x7FFFFFFF) % 1_000_000), 6, '0', STR_PAD_LEFT);
    }

    /**
     * The step that a code belongs to: one step early or late is taken (RFC 6238, section 5.2), one that was used is not.
     *
     * @param  int  $used  last step whose code was taken
     */
    public function accepts(string $code, int $time, int $used): ?int
    {
        $now = self::stepAt($time);
        foreach ([$now, $now - 1, $now + 1] as $step) {
            if ($step > $used && hash_equals($this->code($step), $code)) {
                return $step;
            }
        }

        return null;
    }
}
