<?php

declare(strict_types=1);

/*
 * Says whether a database node may be sent work: it answers, belongs to the majority and has caught up with the others.
 * What stands in front asks twice a second, by HTTP: 200 is yes, 503 is no, with the reason in words.
 *
 * Either behind a socket of systemd (node-health.socket in this folder; speaks HTTP on standard output) or under
 * PHP's own server. Settings from the environment: NODE_PORT (3306), NODE_USER (health), NODE_PASSWORD.
 */

[$status, $says] = (static function (): array {
    $setting = static fn (string $name, string $else): string => (string) (getenv($name) === false ? $else : getenv($name));
    try {
        $node = new PDO('mysql:host=127.0.0.1;port='.$setting('NODE_PORT', '3306'), $setting('NODE_USER', 'health'), $setting('NODE_PASSWORD', ''), [
            PDO::ATTR_TIMEOUT => 2, PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION,
        ]);
        $is = $node->query("show global status where variable_name in ('wsrep_ready', 'wsrep_cluster_status', 'wsrep_local_state_comment')")
            ->fetchAll(PDO::FETCH_KEY_PAIR);
    } catch (PDOException $error) {
        return [503, 'the node does not answer: '.$error->getMessage()];
    }

    return match (true) {
        ($is['wsrep_cluster_status'] ?? '') !== 'Primary' => [503, 'the node is cut off from the majority'],
        ($is['wsrep_ready'] ?? '') !== 'ON' => [503, 'the node is not ready'],
        ($is['wsrep_local_state_comment'] ?? '') !== 'Synced' => [503, 'the node is busy with another one: '.($is['wsrep_local_state_comment'] ?? '')],
        default => [200, 'synced'],
    };
})();

if (PHP_SAPI === 'cli') {
    printf("HTTP/1.0 %d %s\r\nContent-Type: text/plain\r\nConnection: close\r\n\r\n%s\n", $status, $status === 200 ? 'OK' : 'Service Unavailable', $says);
} else {
    http_response_code($status);
    header('Content-Type: text/plain');
    echo $says, "\n";
}
