<?php

declare(strict_types=1);

namespace Tests\Checks;

/** Asks the independent libraries of independent.mjs, which Node runs. */
final class Independent
{
    public static function ask(string $task, mixed $input): mixed
    {
        $node = proc_open(['node', __DIR__.'/independent.mjs', $task], [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']], $pipes);
        if (! is_resource($node)) {
            throw new \RuntimeException('Node does not start.');
        }
        fwrite($pipes[0], json_encode($input, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE));
        fclose($pipes[0]);
        $answer = (string) stream_get_contents($pipes[1]);
        $fault = (string) stream_get_contents($pipes[2]);
        if (proc_close($node) !== 0) {
            throw new \RuntimeException('independent.mjs: '.$fault);
        }

        return json_decode($answer, true, 512, JSON_THROW_ON_ERROR);
    }
}
