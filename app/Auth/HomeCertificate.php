<?php

declare(strict_types=1);

namespace App\Auth;

/** The certificate of this home's own authority, which devices are asked to trust. Plain PHP. */
final readonly class HomeCertificate
{
    private function __construct(public string $file) {}

    /** @param string $door the folder of the passphrase */
    public static function behind(string $door): self
    {
        return new self("{$door}/authority/pki/authorities/local/root.crt");
    }

    /** Its SHA-256, in pairs, as devices show it; null where there is none. */
    public function fingerprint(): ?string
    {
        $text = is_file($this->file) ? (string) file_get_contents($this->file) : '';
        $found = $text === '' ? false : openssl_x509_fingerprint($text, 'sha256');

        return $found === false ? null : strtoupper(implode(' ', str_split($found, 2)));
    }
}
