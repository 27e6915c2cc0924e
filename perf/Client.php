<?php

/** One browser's worth of HTTP over a connection that is kept open: cookies, and the token that guards writes. */
final class Client
{
    private CurlHandle $curl;

    private string $token = '';

    public function __construct(public string $base)
    {
        $this->curl = curl_init();
        curl_setopt_array($this->curl, [CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => '', CURLOPT_ENCODING => '']);
    }

    public function signIn(string $email, string $password): void
    {
        $this->get('/api/me');
        $this->post('/api/session', (string) json_encode(['email' => $email, 'password' => $password]));
    }

    public function get(string $path): string
    {
        return $this->send($path, [CURLOPT_HTTPGET => true, CURLOPT_HTTPHEADER => ['Accept: application/json']]);
    }

    public function post(string $path, string $json): string
    {
        return $this->send($path, [
            CURLOPT_POST => true,
            CURLOPT_POSTFIELDS => $json,
            CURLOPT_HTTPHEADER => [
                'Accept: application/json',
                'Content-Type: application/json',
                'X-XSRF-TOKEN: '.$this->token,
                'Idempotency-Key: '.bin2hex(random_bytes(12)),
            ],
        ]);
    }

    /** What it sends as cookies. */
    public function cookies(): string
    {
        $cookies = [];
        foreach (curl_getinfo($this->curl, CURLINFO_COOKIELIST) as $cookie) {
            $fields = explode("\t", $cookie);
            $cookies[] = "{$fields[5]}={$fields[6]}";
        }

        return implode('; ', $cookies);
    }

    /** @param  array<int, mixed>  $options */
    private function send(string $path, array $options): string
    {
        curl_setopt_array($this->curl, [CURLOPT_URL => $this->base.$path] + $options);
        $answer = curl_exec($this->curl);
        $status = curl_getinfo($this->curl, CURLINFO_RESPONSE_CODE);
        if (! is_string($answer) || $status !== 200) {
            throw new RuntimeException("{$path} answered {$status}: ".substr((string) $answer, 0, 300), $status);
        }
        foreach (curl_getinfo($this->curl, CURLINFO_COOKIELIST) as $cookie) {
            $fields = explode("\t", $cookie);
            if ($fields[5] === 'XSRF-TOKEN') {
                $this->token = urldecode($fields[6]);
            }
        }

        return $answer;
    }
}
