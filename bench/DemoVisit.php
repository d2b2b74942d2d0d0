<?php

declare(strict_types=1);

/** Asks pages of a running demo as its demo account does: cookies kept, answers unpacked, seconds and bytes on the way counted. */
final class DemoVisit
{
    /** @var array<string, string> */
    private array $cookies = [];
    public float $seconds = 0.0;
    /** Bytes as they came, gzipped where the server did. */
    public int $bytes = 0;
    public string $location = '';

    public function __construct(private readonly string $base)
    {
        preg_match('/name="_csrf_token" value="([^"]+)"/', $this->get('/sign-in'), $token);
        $this->post('/sign-in', ['email' => 'demo@larkspur-hollow.example', 'password' => 'furrow-by-furrow', '_csrf_token' => $token[1]
            ?? '']);
        $this->get('/');
    }

    public function get(string $path): string
    {
        return $this->ask('GET', $path, [], '');
    }

    /** @param array<string, string> $fields */
    public function post(string $path, array $fields): string
    {
        return $this->ask('POST', $path, ['Content-Type: application/x-www-form-urlencoded'], http_build_query($fields));
    }

    /** @param array<string, string> $fields */
    public function send(string $path, array $fields, string $name, string $content): string
    {
        $edge = 'edge'.md5($name);
        $body = '';
        foreach ($fields as $field => $value) {
            $body .= "--$edge\r\nContent-Disposition: form-data; name=\"$field\"\r\n\r\n$value\r\n";
        }
        $body .= "--$edge\r\nContent-Disposition: form-data; name=\"$name\"; filename=\"$name.json\"\r\nContent-Type: application/json\r\n\r\n$content\r\n--$edge--\r\n";

        return $this->ask('POST', $path, ["Content-Type: multipart/form-data; boundary=$edge"], $body);
    }

    /** The token of the forms on a page. */
    public function token(string $page): string
    {
        return 1 === preg_match('/name="_token" value="([^"]+)"|X-Token&quot;:&quot;([^&]+)|"X-Token": ?"([^"]+)"/', $this->get($page),
            $found) ? end($found) : '';
    }

    /** @param list<string> $headers */
    private function ask(string $method, string $path, array $headers, string $content): string
    {
        $cookie = implode('; ', array_map(static fn (string $k, string $v): string => $k.'='.$v, array_keys($this->cookies),
            $this->cookies));
        $start = hrtime(true);
        $body = (string) file_get_contents($this->base.$path, false, stream_context_create(['http' => ['method' => $method,
            'header' => [...$headers, 'Cookie: '.$cookie, 'Accept-Encoding: gzip'], 'content' => $content, 'follow_location' => 0,
            'ignore_errors' => true]]));
        $this->seconds = (hrtime(true) - $start) / 1e9;
        $this->bytes = strlen($body);
        foreach ($http_response_header as $line) {
            if (1 === preg_match('/^Set-Cookie: ([^=]+)=([^;]*)/i', $line, $m)) {
                $this->cookies[$m[1]] = $m[2];
            }
            $this->location = 1 === preg_match('/^Location: (.*)$/i', $line, $m) ? $m[1] : $this->location;
        }

        return "\x1f\x8b" === substr($body, 0, 2) ? (string) gzdecode($body) : $body;
    }
}
