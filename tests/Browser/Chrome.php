<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Exception\ElementClickInterceptedException;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Exception\WebDriverException;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverElement;
use Facebook\WebDriver\WebDriverWait;
use RuntimeException;

/**
 * Debian's Chromium without a monitor, driven through ChromeDriver. Serves the browser tests, bin/bench and
 * bin/screenshots alike. One ChromeDriver process serves all sessions of a run and ends with it.
 */
final class Chrome
{
    /** Seconds that anything is waited for: a busy machine is no fault of the page, and what is there is not waited for. */
    private const PATIENCE = 60;

    private const USUAL = [1280, 800];

    private const FLAGS = [
        '--headless=new', '--no-sandbox', '--disable-dev-shm-usage', '--hide-scrollbars', '--force-device-scale-factor=1',
        '--disable-gpu', '--enable-unsafe-swiftshader', '--disable-quic', '--no-first-run', '--disable-background-networking',
        '--disable-component-update', '--disable-sync',
        '--lang=en-GB',
    ];

    /** @var ?resource */
    private static mixed $process = null;

    private static int $port = 0;

    /** @var array<string, self> by profile: browsers that are open; they outlive their driver unless they are closed */
    private static array $running = [];

    /** @var list<string> scripts that keep what is sent */
    private array $overhearing = [];

    private function __construct(
        public readonly RemoteWebDriver $driver, private readonly string $address, private readonly string $profile,
    ) {
    }

    /** @param  list<string>  $more  flags of its own */
    public static function open(string $address, array $more = []): self
    {
        self::startDriver();
        $profile = sys_get_temp_dir().'/larkspur-chrome-'.bin2hex(random_bytes(6));
        $options = new ChromeOptions;
        $options->setBinary('/usr/lib/chromium/chromium');
        $options->addArguments([...self::FLAGS, ...$more, '--user-data-dir='.$profile]);
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
        $capabilities->setCapability('goog:loggingPrefs', ['browser' => 'ALL']);
        $driver = RemoteWebDriver::create('http://127.0.0.1:'.self::$port, $capabilities, 60000, 120000);
        $chrome = new self($driver, rtrim($address, '/'), $profile);
        self::$running[$profile] = $chrome;
        $chrome->resize(...self::USUAL);

        return $chrome;
    }

    public function resize(int $width, int $height, float $zoom = 1.0): void
    {
        // The page's own size; a window's size would count its frame. Zoom is a larger device pixel on a smaller page.
        $this->devTools('Emulation.setDeviceMetricsOverride', [
            'width' => (int) round($width / $zoom), 'height' => (int) round($height / $zoom), 'deviceScaleFactor' => $zoom,
            'mobile' => false,
        ]);
    }

    /**
     * @param  array<string, mixed>  $parameters
     * @return array<string, mixed>
     */
    public function devTools(string $command, array $parameters = []): array
    {
        return (array) (new ChromeDevToolsDriver($this->driver))->execute($command, $parameters);
    }

    /** As if it had just been opened: signed out, nothing stored, nothing overheard, of the usual size. */
    public function forget(): self
    {
        $this->driver->get('about:blank');
        $this->complaints();
        $this->devTools('Network.clearBrowserCookies');
        $this->devTools('Storage.clearDataForOrigin', ['origin' => $this->address, 'storageTypes' => 'all']);
        foreach ($this->overhearing as $script) {
            $this->devTools('Page.removeScriptToEvaluateOnNewDocument', ['identifier' => $script]);
        }
        $this->overhearing = [];
        $this->resize(...self::USUAL);

        return $this;
    }

    public function visit(string $path): self
    {
        $this->driver->get($this->address.$path);

        return $this;
    }

    public function path(): string
    {
        return (string) parse_url($this->driver->getCurrentURL(), PHP_URL_PATH);
    }

    public function signIn(string $email, string $password): self
    {
        $this->visit('/sign-in');
        $this->see('input[type=email]')->sendKeys($email);
        $this->find('input[type=password]')->sendKeys($password);
        $this->press('Sign in');
        $this->see('header nav');

        return $this;
    }

    /** Waits for an element and gives it. */
    public function see(string $selector, int $seconds = self::PATIENCE): WebDriverElement
    {
        // Asked for in one go: between two questions a page may have gone on.
        return (new WebDriverWait($this->driver, $seconds, 50))->until(
            fn (): ?WebDriverElement => $this->all($selector)[0] ?? null, 'Not seen: '.$selector,
        );
    }

    public function seeText(string $text, int $seconds = self::PATIENCE): void
    {
        (new WebDriverWait($this->driver, $seconds, 50))->until(fn (): bool => str_contains($this->text(), $text), 'Not seen: '.$text);
    }

    public function waitUntil(callable $condition, string $message, int $seconds = self::PATIENCE): void
    {
        (new WebDriverWait($this->driver, $seconds, 50))->until(static function () use ($condition): bool {
            try {
                return (bool) $condition();
            } catch (StaleElementReferenceException) {
                // The page put another in its place between finding it and asking it: that is looked at next.
                return false;
            }
        }, $message);
    }

    public function find(string $selector): WebDriverElement
    {
        return $this->driver->findElement(WebDriverBy::cssSelector($selector));
    }

    /** @return list<WebDriverElement> */
    public function all(string $selector): array
    {
        return array_values($this->driver->findElements(WebDriverBy::cssSelector($selector)));
    }

    public function count(string $selector): int
    {
        return (int) $this->script('return document.querySelectorAll(arguments[0]).length', [$selector]);
    }

    public function text(string $selector = 'body'): string
    {
        return (string) $this->script('return document.querySelector(arguments[0])?.innerText ?? ""', [$selector]);
    }

    /** The text of an element, once it is there. */
    public function textSeen(string $selector): string
    {
        $this->see($selector);

        return $this->text($selector);
    }

    public function attributeSeen(string $selector, string $name): string
    {
        $this->see($selector);

        return $this->attribute($selector, $name);
    }

    /** Presses an element, once the page around it stands still. */
    public function click(string $selector, int $seconds = self::PATIENCE): void
    {
        $this->again(fn () => $this->atRest($this->see($selector, $seconds)));
        $this->again(fn () => $this->see($selector, $seconds)->click());
    }

    /**
     * Does something to an element, and does it once more where the page put another in its place, or something over it, meanwhile: neither
     * reached the element, so nothing is done twice.
     */
    public function again(callable $done): void
    {
        for ($tries = 0; ; $tries++) {
            try {
                $done();

                return;
            } catch (StaleElementReferenceException|ElementClickInterceptedException $gone) {
                if ($tries === 20) {
                    throw $gone;
                }
                usleep(50000);
            }
        }
    }

    /** Presses the button or link with this text. */
    public function press(string $text): void
    {
        $path = sprintf("//*[self::button or self::a or @role='radio'][contains(normalize-space(.), %s)]", self::quoted($text));
        (new WebDriverWait($this->driver, self::PATIENCE, 50))->until(
            fn (): bool => count($this->driver->findElements(WebDriverBy::xpath($path))) > 0, 'No button or link: '.$text,
        );
        $this->again(fn () => $this->atRest($this->driver->findElement(WebDriverBy::xpath($path))));
        $this->again(fn () => $this->driver->findElement(WebDriverBy::xpath($path))->click());
    }

    /**
     * What the API answers to the page that is open.
     *
     * @param  ?array<array-key, mixed>  $body  posted where there is one
     * @return array<array-key, mixed>
     */
    public function api(string $path, ?array $body = null): array
    {
        $answer = $this->driver->executeAsyncScript(<<<'JS'
            const [path, body, done] = arguments;
            const token = decodeURIComponent(document.cookie.match(/XSRF-TOKEN=([^;]+)/)?.[1] ?? '');
            fetch('/api/v1' + path, {
                method: body === null ? 'GET' : 'POST', body,
                headers: { Accept: 'application/json', 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token },
            }).then(async (response) => {
                const said = await response.text();
                done(response.ok ? JSON.parse(said) : path + ' answers ' + response.status + ': ' + said.slice(0, 500));
            }, (gone) => done(path + ': ' + gone));
            JS, [$path, $body === null ? null : json_encode($body, JSON_THROW_ON_ERROR)]);

        return is_array($answer) ? $answer : throw new RuntimeException((string) $answer);
    }

    /** Keeps what the page sends to a path of the API in window.sent, in every document from now on. */
    public function overhear(string $path): void
    {
        $this->overhearing[] = (string) $this->devTools('Page.addScriptToEvaluateOnNewDocument', ['source' => sprintf(<<<'JS'
            const fetched = window.fetch;
            window.fetch = (request, options) => {
                if (request instanceof Request && request.url.endsWith(%s)) request.clone().json().then((body) => { window.sent = body; });
                return fetched(request, options);
            };
            JS, json_encode($path, JSON_THROW_ON_ERROR))])['identifier'];
    }

    /**
     * Drags an element's middle with the mouse, in a few steps. By the browser's own input: ChromeDriver's actions take a captured pointer
     * away from the element that has it, which no mouse does.
     */
    public function drag(string $selector, int $across, int $down): void
    {
        [$x, $y] = $this->atRest($this->see($selector));
        $mouse = fn (string $type, int $buttons, float $share): array => $this->devTools(
            'Input.dispatchMouseEvent',
            [
                'type' => $type, 'x' => $x + $share * $across, 'y' => $y + $share * $down, 'button' => 'left', 'buttons' => $buttons,
                'clickCount' => 1,
            ],
        );
        $mouse('mouseMoved', 0, 0.0);
        $mouse('mousePressed', 1, 0.0);
        for ($step = 1; $step <= 4; $step++) {
            $mouse('mouseMoved', 1, $step / 4);
        }
        $mouse('mouseReleased', 0, 1.0);
    }

    /**
     * The middle of an element, once it has stayed where it is for a tenth of a second: while answers come in, a page still moves.
     *
     * @return array{float, float}
     */
    private function atRest(WebDriverElement $element): array
    {
        return $this->driver->executeAsyncScript(<<<'JS'
            const [element, done] = arguments;
            const middle = () => {
                const box = element.getBoundingClientRect();
                return [box.x + box.width / 2, box.y + box.height / 2];
            };
            element.scrollIntoView({ block: 'nearest' });
            let last = middle();
            let still = 0;
            let looks = 0;
            const look = () => {
                const now = middle();
                still = now[0] === last[0] && now[1] === last[1] ? still + 1 : 0;
                last = now;
                looks += 1;
                if ((still >= 4 && !element.disabled) || looks > 400) done(now);
                else setTimeout(look, 25);
            };
            look();
            JS, [$element]);
    }

    /** Sends keys to whatever has the focus. */
    public function type(string ...$keys): void
    {
        $this->driver->getKeyboard()->sendKeys($keys);
    }

    public function attribute(string $selector, string $name): string
    {
        return (string) $this->script('return document.querySelector(arguments[0])?.getAttribute(arguments[1]) ?? ""', [$selector, $name]);
    }

    /** @param  list<mixed>  $arguments */
    public function script(string $script, array $arguments = []): mixed
    {
        return $this->driver->executeScript($script, $arguments);
    }

    /**
     * Messages of the page's console that tell of something wrong.
     *
     * @return list<string>
     */
    public function complaints(): array
    {
        $complaints = [];
        foreach ($this->driver->manage()->getLog('browser') as $entry) {
            if (($entry['level'] ?? '') === 'SEVERE') {
                $complaints[] = (string) ($entry['message'] ?? '');
            }
        }

        return $complaints;
    }

    public function shoot(string $file): void
    {
        $this->driver->takeScreenshot($file);
    }

    public function close(): void
    {
        unset(self::$running[$this->profile]);
        $this->driver->quit();
        exec('rm -rf '.escapeshellarg($this->profile));
    }

    private static function quoted(string $text): string
    {
        return '"'.str_replace('"', '', $text).'"';
    }

    private static function startDriver(): void
    {
        if (self::$process !== null) {
            return;
        }
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        if ($socket === false) {
            throw new RuntimeException('No free port for ChromeDriver.');
        }
        self::$port = (int) substr(strrchr((string) stream_socket_get_name($socket, false), ':') ?: ':0', 1);
        fclose($socket);
        $pipes = [];
        $process = proc_open(
            ['/usr/bin/chromedriver', '--port='.self::$port, '--silent'],
            [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']], $pipes,
        );
        if ($process === false) {
            throw new RuntimeException('ChromeDriver does not start; Debian’s chromium-driver is needed.');
        }
        self::$process = $process;
        register_shutdown_function(self::stopDriver(...));
        for ($tries = 0; $tries < 200; $tries++) {
            $connection = @fsockopen('127.0.0.1', self::$port, timeout: 1);
            if ($connection !== false) {
                fclose($connection);

                return;
            }
            usleep(50000);
        }
        throw new RuntimeException('ChromeDriver does not answer.');
    }

    private static function stopDriver(): void
    {
        if (self::$process !== null) {
            foreach (self::$running as $chrome) {
                try {
                    $chrome->close();
                } catch (WebDriverException) {
                    // It is gone already.
                }
            }
            proc_terminate(self::$process);
            self::$process = null;
        }
    }
}
