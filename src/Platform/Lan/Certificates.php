<?php

declare(strict_types=1);

namespace App\Platform\Lan;

use Symfony\Component\Filesystem\Filesystem;

/**
 * A certificate authority of this room's own, and the certificate of its server. A tablet that trusts the authority once goes on to trust
 * the server, also when its certificate is made anew.
 */
final readonly class Certificates
{
    private const AUTHORITY_DAYS = 3650;

    /** Browsers take no server's certificate that is valid for longer than 398 days. */
    private const SERVER_DAYS = 397;
    private const RENEW_DAYS = 30;
    private const CURVE = ['private_key_type' => \OPENSSL_KEYTYPE_EC, 'curve_name' => 'prime256v1'];

    public function __construct(private string $dataDir, private Filesystem $files = new Filesystem())
    {
    }

    public function isThere(): bool
    {
        return is_file($this->path('authority.crt'));
    }

    /**
     * Makes what is missing, what ends soon, and what does not name the server as it is reached now. The authority is made anew where it
     * may not vouch for the name that is said first; for other names that it may not, the server goes without.
     *
     * @param non-empty-list<string> $names names and addresses by which the server is reached
     *
     * @return bool whether devices that trusted the authority have to trust another one now
     */
    public function prepare(string $room, array $names, \DateTimeImmutable $now): bool
    {
        $this->files->mkdir(\dirname($this->path('x')), 0o700);
        $isAnother = $this->isThere() && !$this->permits($names[0]);
        if (!$this->isThere() || $isAnother) {
            $this->makeAuthority($room, $names);
        }
        $vouched = array_values(array_filter($names, $this->permits(...)));
        if (!$this->isServerFit($vouched, $now)) {
            $this->makeServer($vouched);
        }

        return $isAnother;
    }

    private function permits(string $name): bool
    {
        return PermittedNames::of($this->authority())?->permits($name) ?? true;
    }

    public function authority(): string
    {
        return (string) file_get_contents($this->path('authority.crt'));
    }

    /** The authority's certificate as devices take it in: without its armour. */
    public function authorityForDevices(): string
    {
        return (string) base64_decode((string) preg_replace('/-----.+?-----|\s/', '', $this->authority()), true);
    }

    /** What is compared on both sides: the SHA-256 of the authority's certificate, in groups. */
    public function fingerprint(): string
    {
        return implode(' ', str_split(strtoupper((string) openssl_x509_fingerprint($this->authority(), 'sha256')), 4));
    }

    public function path(string $name): string
    {
        return $this->dataDir.'/tls/'.$name;
    }

    /** @param list<string> $names */
    private function makeAuthority(string $room, array $names): void
    {
        $key = self::newKey();
        $config = $this->config(implode("\n", [
            'basicConstraints = critical, CA:TRUE, pathlen:0',
            'keyUsage = critical, keyCertSign, cRLSign',
            'extendedKeyUsage = serverAuth',
            'subjectKeyIdentifier = hash',
            'nameConstraints = '.PermittedNames::with($names)->extension(),
        ]));
        $request = self::request(['commonName' => mb_substr('Lottel: '.$room, 0, 60), 'organizationName' => 'Lottel'], $key, $config);
        $certificate = openssl_csr_sign($request, null, $key, self::AUTHORITY_DAYS, $config, random_int(1, \PHP_INT_MAX));
        $this->keep('authority', $certificate, $key);
        unlink($config['config']);
    }

    /** @param list<string> $names */
    private function makeServer(array $names): void
    {
        $key = self::newKey();
        $alternatives = implode(', ', array_map(self::alternative(...), $names));
        $config = $this->config(implode("\n", [
            'basicConstraints = critical, CA:FALSE',
            'keyUsage = critical, digitalSignature',
            'extendedKeyUsage = serverAuth',
            "subjectAltName = {$alternatives}",
        ]));
        $request = self::request(['commonName' => mb_substr($names[0] ?? 'lottel', 0, 60)], $key, $config);
        $authority = openssl_pkey_get_private((string) file_get_contents($this->path('authority.key')));
        $certificate = false === $authority
            ? false
            : openssl_csr_sign($request, $this->authority(), $authority, self::SERVER_DAYS, $config, random_int(1, \PHP_INT_MAX));
        $this->keep('server', $certificate, $key);
        unlink($config['config']);
    }

    private static function newKey(): \OpenSSLAsymmetricKey
    {
        $key = openssl_pkey_new(self::CURVE);

        return false === $key ? throw self::failed() : $key;
    }

    /**
     * @param array<string, string> $name
     * @param array<string, string> $config
     */
    private static function request(array $name, \OpenSSLAsymmetricKey $key, array $config): \OpenSSLCertificateSigningRequest
    {
        $request = openssl_csr_new($name, $key, $config);

        return \is_bool($request) ? throw self::failed() : $request;
    }

    private static function failed(): \RuntimeException
    {
        return new \RuntimeException('The certificate could not be made: '.openssl_error_string());
    }

    private function keep(string $name, \OpenSSLCertificate|false $certificate, \OpenSSLAsymmetricKey $key): void
    {
        if (false === $certificate || !openssl_x509_export($certificate, $crt) || !openssl_pkey_export($key, $pem) || !\is_string($crt) || !\is_string($pem)) {
            throw self::failed();
        }
        $this->files->dumpFile($this->path($name.'.key'), $pem);
        $this->files->chmod($this->path($name.'.key'), 0o600);
        $this->files->dumpFile($this->path($name.'.crt'), $crt);
    }

    /** @param list<string> $names */
    private function isServerFit(array $names, \DateTimeImmutable $now): bool
    {
        $said = is_file($this->path('server.crt')) ? openssl_x509_parse((string) file_get_contents($this->path('server.crt'))) : false;
        if (false === $said || !is_file($this->path('server.key'))) {
            return false;
        }
        $extensions = \is_array($said['extensions'] ?? null) ? $said['extensions'] : [];
        $alternatives = \is_string($extensions['subjectAltName'] ?? null) ? $extensions['subjectAltName'] : '';
        $wanted = implode(', ', array_map(static fn (string $name): string => str_replace('IP:', 'IP Address:', self::alternative($name)), $names));
        $ends = \is_int($said['validTo_time_t'] ?? null) ? $said['validTo_time_t'] : 0;

        return self::plain($alternatives) === self::plain($wanted)
            && $ends > $now->getTimestamp() + self::RENEW_DAYS * 86_400
            && 1 === openssl_x509_verify((string) file_get_contents($this->path('server.crt')), $this->authority());
    }

    private static function alternative(string $name): string
    {
        return (false === filter_var($name, \FILTER_VALIDATE_IP) ? 'DNS:' : 'IP:').$name;
    }

    /** One writes addresses of the sixth version in more than one way. */
    private static function plain(string $alternatives): string
    {
        return (string) preg_replace_callback('/IP Address:(\S+?)(?=,|$)/', static fn (array $m): string => bin2hex((string) @inet_pton($m[1])), $alternatives);
    }

    /** @return array{config: string, digest_alg: string, req_extensions: string, x509_extensions: string} */
    private function config(string $extensions): array
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'lottel');
        file_put_contents($file, "[req]\ndistinguished_name = name\n[name]\n[of]\n{$extensions}\n");

        return ['config' => $file, 'digest_alg' => 'sha256', 'req_extensions' => 'of', 'x509_extensions' => 'of'];
    }
}
