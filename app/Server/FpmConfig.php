<?php

declare(strict_types=1);

namespace App\Server;

/** The configuration of PHP-FPM, and what it is started with. Plain PHP. */
final readonly class FpmConfig
{
    public function __construct(private ServerPlan $plan, private int $workers) {}

    public function ini(): string
    {
        return <<<INI
            [global]
            daemonize = no
            error_log = {$this->plan->log()}
            log_level = warning
            ; what is on its way may end
            process_control_timeout = 5s
            [{$this->plan->marker()}]
            listen = {$this->plan->socket('kitchen')}
            listen.mode = 0600
            pm = static
            pm.max_children = {$this->workers}
            pm.max_requests = 5000
            clear_env = no
            ; a little more than max_execution_time, which leaves room for an answer
            request_terminate_timeout = 22s
            request_slowlog_timeout = 8s
            slowlog = {$this->plan->log()}
            php_admin_flag[log_errors] = on
            php_admin_value[error_log] = {$this->plan->log()}

            INI;
    }

    public function file(): string
    {
        return "{$this->plan->folder()}/{$this->plan->marker()}.conf";
    }

    /**
     * @param array<string, string> $settings of PHP
     *
     * @return list<string>
     */
    public function command(array $settings): array
    {
        return [
            $this->plan->program('php-fpm'),
            '--nodaemonize',
            ...(posix_geteuid() === 0 ? ['--allow-to-run-as-root'] : []),
            '--fpm-config',
            $this->file(),
            ...PhpSettings::arguments($settings),
        ];
    }
}
