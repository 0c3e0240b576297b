<?php

declare(strict_types=1);

namespace App\Platform\Lan;

use Symfony\Component\Filesystem\Filesystem;

/** What the web server and PHP's process manager are told, written for one room. */
final readonly class LanFiles
{
    /** Where the web server asks about a device before it takes in anything large from it. */
    public const ASKS = '/device/in';
    private const WORKERS = 6;

    public function __construct(private string $dataDir, private string $projectDir, private Filesystem $files = new Filesystem())
    {
    }

    public function write(LanAddress $address, Certificates $certificates): void
    {
        foreach (['lan/tmp', 'log'] as $folder) {
            $this->files->mkdir($this->dataDir.'/'.$folder, 0o700);
        }
        $data = (string) realpath($this->dataDir);
        $this->files->dumpFile($data.'/lan/php-fpm.conf', $this->processes($data));
        $this->files->dumpFile($data.'/lan/nginx.conf', $this->web($data, $address, $certificates));
        $this->files->dumpFile($data.'/lan/address.json', json_encode([
            'url' => $address->url(), 'trust' => $address->trustUrl(), 'names' => $address->names, 'hosts' => $address->pattern(),
        ], \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_SLASHES));
    }

    /** Returns the address at which the room is served, null where it is not served to the workroom. */
    public function said(string $field): ?string
    {
        $said = json_decode((string) @file_get_contents($this->dataDir.'/lan/address.json'), true);

        return \is_array($said) && \is_string($said[$field] ?? null) ? $said[$field] : null;
    }

    private function processes(string $data): string
    {
        $workers = self::WORKERS;

        return <<<CONF
            [global]
            error_log = {$data}/log/php.log
            daemonize = no
            process_control_timeout = 30s
            [lottel]
            listen = {$data}/lan/php.sock
            listen.mode = 0600
            pm = static
            pm.max_children = {$workers}
            pm.max_requests = 5000
            clear_env = no
            catch_workers_output = yes
            decorate_workers_output = no
            request_slowlog_timeout = 3s
            slowlog = {$data}/log/slow.log
            php_admin_value[memory_limit] = 256M
            php_admin_value[upload_max_filesize] = 256M
            php_admin_value[post_max_size] = 260M
            php_admin_value[date.timezone] = UTC
            php_admin_flag[expose_php] = off
            php_admin_flag[display_errors] = off
            php_admin_flag[log_errors] = on
            php_admin_flag[zend.exception_ignore_args] = on

            CONF;
    }

    private function web(string $data, LanAddress $address, Certificates $certificates): string
    {
        $public = $this->projectDir.'/public';
        // A machine without IPv6 cannot listen to it.
        $isSix = is_file('/proc/net/if_inet6');
        $listen = static fn (int $port, string $how): string => "listen {$port}{$how};".($isSix ? " listen [::]:{$port}{$how};" : '');
        $run = self::toPhp($data, $public);
        $ask = self::toPhp($data, $public, ['REQUEST_URI' => self::ASKS, 'REQUEST_METHOD' => 'GET', 'CONTENT_LENGTH' => '""', 'QUERY_STRING' => '""']);

        return <<<CONF
            pid {$data}/lan/nginx.pid;
            error_log {$data}/log/web.log warn;
            worker_processes 1;
            events { worker_connections 512; }
            http {
                access_log off;
                server_tokens off;
                sendfile on;
                gzip on;
                gzip_types text/css text/javascript application/json application/manifest+json image/svg+xml;
                client_header_timeout 15s;
                client_body_timeout 60s;
                send_timeout 60s;
                http2_max_concurrent_streams 32;
                limit_conn_zone \$binary_remote_addr zone=address:1m;
                limit_conn address 128;
                limit_conn_status 429;
                # What is larger, or does not say how large it is, is taken from devices that were let in alone.
                client_max_body_size 100k;
                map "\$uri \$request_method:\$content_length" \$is_large {
                    volatile;
                    "~^/-l" 0;
                    "~ (GET|HEAD):\$" 0;
                    "~:[0-9]{1,5}\$" 0;
                    default 1;
                }
                client_body_temp_path {$data}/lan/tmp;
                fastcgi_temp_path {$data}/lan/tmp;
                proxy_temp_path {$data}/lan/tmp;
                scgi_temp_path {$data}/lan/tmp;
                uwsgi_temp_path {$data}/lan/tmp;
                types {
                    text/css css; text/javascript js; image/svg+xml svg; image/png png; font/woff2 woff2; text/plain txt;
                    application/manifest+json webmanifest;
                }
                map \$arg_v \$keep { "" "public, max-age=0, must-revalidate"; default "public, max-age=31536000, immutable"; }
                server {
                    {$listen($address->port, ' ssl http2')}
                    ssl_certificate {$certificates->path('server.crt')};
                    ssl_certificate_key {$certificates->path('server.key')};
                    ssl_protocols TLSv1.2 TLSv1.3;
                    ssl_session_cache shared:tls:1m;
                    absolute_redirect off;
                    if (\$is_large) { rewrite ^ /-large last; }
                    location = /-large {
                        internal;
                        auth_request /-let-in;
                        error_page 403 = @door;
                        client_max_body_size 260m;
            {$run}
                        fastcgi_param HTTPS on;
                    }
                    location = /-let-in {
                        internal;
                        client_max_body_size 0;
                        fastcgi_pass_request_body off;
            {$ask}
                        fastcgi_param HTTPS on;
                    }
                    location @door { return 303 /device; }
                    location ^~ /build/ {
                        root {$public};
                        try_files \$uri =404;
                        add_header Cache-Control \$keep;
                        add_header X-Content-Type-Options nosniff;
                    }
                    location / {
            {$run}
                        fastcgi_param HTTPS on;
                    }
                }
                server {
                    {$listen($address->plainPort, '')}
                    location ^~ /build/ { root {$public}; try_files \$uri =404; }
                    location ^~ /trust {
            {$run}
                    }
                    location / { return 302 https://\$host:{$address->port}\$request_uri; }
                }
            }

            CONF;
    }

    /** @param array<string, string> $instead what PHP is told otherwise than the request says */
    private static function toPhp(string $data, string $public, array $instead = []): string
    {
        $asked = static fn (string $name, string $value): string => "fastcgi_param {$name} ".($instead[$name] ?? $value);
        $said = [
            "fastcgi_pass unix:{$data}/lan/php.sock",
            'fastcgi_read_timeout 900s',
            "fastcgi_param SCRIPT_FILENAME {$public}/index.php",
            'fastcgi_param SCRIPT_NAME /index.php',
            "fastcgi_param DOCUMENT_ROOT {$public}",
            $asked('REQUEST_URI', '$request_uri'),
            $asked('QUERY_STRING', '$query_string'),
            $asked('REQUEST_METHOD', '$request_method'),
            'fastcgi_param CONTENT_TYPE $content_type',
            $asked('CONTENT_LENGTH', '$content_length'),
            'fastcgi_param SERVER_PROTOCOL $server_protocol',
            'fastcgi_param SERVER_NAME $host',
            'fastcgi_param SERVER_PORT $server_port',
            'fastcgi_param REMOTE_ADDR $remote_addr',
        ];

        return '            '.implode(";\n            ", $said).';';
    }
}
