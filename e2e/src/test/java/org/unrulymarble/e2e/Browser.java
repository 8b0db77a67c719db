package org.unrulymarble.e2e;

import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.openqa.selenium.By;
import org.openqa.selenium.JavascriptExecutor;
import org.openqa.selenium.Keys;
import org.openqa.selenium.OutputType;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.WebDriver;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.support.ui.WebDriverWait;

/** Headless Chromium with the words that the journeys use. Waits on conditions, never for a time. */
public final class Browser implements AutoCloseable {

    private final ChromeDriver driver;
    private String address = "";

    public Browser() {
        this(Map.of());
    }

    /**
     * @param environment of the browser, beside this one's
     * @param more what else it is started with
     */
    public Browser(Map<String, String> environment, String... more) {
        ChromeOptions options = new ChromeOptions();
        options.addArguments(more);
        options.setBinary(System.getenv().getOrDefault("CHROMIUM", "/usr/bin/chromium"));
        try {
            options.addArguments(
                    "--headless=new",
                    "--no-sandbox",
                    "--disable-gpu",
                    "--disable-quic",
                    "--no-first-run",
                    "--disable-background-networking",
                    "--disable-component-update",
                    "--disable-sync",
                    "--disable-dev-shm-usage",
                    "--hide-scrollbars",
                    "--lang=en-GB",
                    "--force-device-scale-factor=1",
                    "--user-data-dir=" + Files.createTempDirectory("marble-browser"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        ChromeDriverService service = new ChromeDriverService.Builder()
                .usingDriverExecutable(new File(System.getenv().getOrDefault("CHROMEDRIVER", "/usr/bin/chromedriver")))
                .usingAnyFreePort()
                .withEnvironment(environment)
                .build();
        driver = new ChromeDriver(service, options);
        // axe reads a list of a thousand elements in a script: on a busy machine longer than the driver's 30 s.
        driver.manage().timeouts().scriptTimeout(Duration.ofMinutes(3));
        size(1280, 800);
    }

    public WebDriver driver() {
        return driver;
    }

    public Browser at(String newAddress) {
        address = newAddress;
        return this;
    }

    public void size(int width, int height) {
        driver.executeCdpCommand(
                "Emulation.setDeviceMetricsOverride",
                Map.of("width", width, "height", height, "deviceScaleFactor", 1, "mobile", false));
    }

    /** What a page is to those who have no script. */
    public void scripts(boolean run) {
        driver.executeCdpCommand("Emulation.setScriptExecutionDisabled", Map.of("value", !run));
    }

    public void offline(boolean offline) {
        driver.executeCdpCommand("Network.enable", Map.of());
        driver.executeCdpCommand(
                "Network.emulateNetworkConditions",
                Map.of("offline", offline, "latency", 0, "downloadThroughput", -1, "uploadThroughput", -1));
    }

    /** Opens a view by its path. */
    public void open(String path) {
        driver.get(address + path);
    }

    /** Signs in as a demo account, from whatever was before. */
    public void signIn(String name) {
        signIn(name, name + "-demo");
    }

    public void signIn(String name, String password) {
        open("/");
        driver.manage().deleteAllCookies();
        open("/");
        type(labelled("Name to sign in with"), name);
        type(labelled("Password"), password);
        press("Sign in");
        see("nav[aria-label=Views]");
    }

    /** Waits for an element that is shown. */
    public WebElement see(String css) {
        return await("to see " + css, d -> shown(driver.findElements(By.cssSelector(css))));
    }

    public boolean shows(String css) {
        return shown(driver.findElements(By.cssSelector(css))) != null;
    }

    /** The innermost shown element that says this. */
    public WebElement seeText(String text) {
        String xpath = "//*[not(self::script or self::title)][contains(normalize-space(.), " + quoted(text)
                + ")][not(./*[contains(normalize-space(.), " + quoted(text) + ")])]";
        return await("to read " + text, d -> shown(driver.findElements(By.xpath(xpath))));
    }

    /** A field by its label, or by its name for screen readers. */
    public WebElement labelled(String label) {
        return await("for the field " + label, d -> {
            WebElement named = shown(driver.findElements(By.cssSelector("[aria-label=" + quoted(label) + "]")));
            if (named != null) return named;
            WebElement found =
                    shown(driver.findElements(By.xpath("//label[normalize-space(.)=" + quoted(label) + "]")));
            return found == null ? null : driver.findElement(By.id(found.getDomAttribute("for")));
        });
    }

    /** Presses a button or link that begins with these words, or else has them in its name for screen readers. */
    public void press(String words) {
        String q = quoted(words);
        String pressable = "//*[self::button or self::a or @role='option']";
        By begins = By.xpath(pressable + "[starts-with(normalize-space(.), " + q + ")]");
        By named = By.xpath(pressable + "[contains(@aria-label, " + q + ")]");
        await("to press " + words, d -> {
            WebElement button = pressable(begins);
            if (button == null) {
                WebElement other = pressable(named);
                // The page may have come between the two looks: what begins with the words has the first claim.
                button = other == null || pressable(begins) != null ? null : other;
            }
            if (button == null) return null;
            script("arguments[0].scrollIntoView({block: 'center'})", button);
            if (!rests(button)) return null;
            button.click();
            return true;
        });
    }

    private WebElement pressable(By by) {
        return driver.findElements(by).stream()
                .filter(e -> e.isDisplayed() && e.isEnabled())
                .findFirst()
                .orElse(null);
    }

    /** Whether an element stands still: fonts are there, and it is where it was a frame ago. A press on a moving one would miss. */
    private boolean rests(WebElement element) {
        return (Boolean) driver.executeAsyncScript("""
                const [element, done] = arguments;
                const at = () => JSON.stringify(element.getBoundingClientRect());
                const before = at();
                requestAnimationFrame(() => requestAnimationFrame(() => done(document.fonts.status === 'loaded' && before === at())));
                """, element);
    }

    /** Chooses from a list by the name of the list and the words of the choice. */
    public void choose(String list, String option) {
        labelled(list).click();
        By begins = By.xpath("//*[@role='option'][starts-with(normalize-space(.), " + quoted(option) + ")]");
        await("to choose " + option, d -> {
            WebElement found = pressable(begins);
            if (found == null || !rests(found)) return null;
            found.click();
            return true;
        });
    }

    /** Puts text in the place of what a field holds. */
    public void type(WebElement field, String text) {
        field.sendKeys(Keys.chord(Keys.CONTROL, "a"), text);
    }

    public void keys(CharSequence... keys) {
        new Actions(driver).sendKeys(keys).perform();
    }

    public void shifted(String key) {
        new Actions(driver).keyDown(Keys.SHIFT).sendKeys(key).keyUp(Keys.SHIFT).perform();
    }

    public Object script(String code, Object... arguments) {
        return ((JavascriptExecutor) driver).executeScript(code, arguments);
    }

    /** A request as the page itself makes it, with its cookies and token; answers status and body. */
    @SuppressWarnings("unchecked")
    public Map<String, Object> request(String method, String path, String body) {
        return (Map<String, Object>) ((JavascriptExecutor) driver).executeAsyncScript("""
                        const [method, path, body, done] = arguments;
                        const token = (/XSRF-TOKEN=([^;]*)/.exec(document.cookie) || [])[1] || '';
                        fetch(path, {method, body: body || undefined, headers: {'Content-Type': 'application/json', 'X-XSRF-TOKEN': token}})
                          .then(async r => done({status: r.status, body: await r.text()}));
                        """, method, path, body);
    }

    /** A minute, since a busy machine takes three times as long as a quiet one; what the page says instead is told. */
    public <T> T await(String what, Function<WebDriver, T> condition) {
        return new WebDriverWait(driver, Duration.ofMinutes(1))
                .withMessage(
                        () -> "waited " + what + " at " + driver.getCurrentUrl() + " which says: "
                                + script(
                                        "const said = [...document.querySelectorAll('[role=alert], [role=dialog]')];"
                                                + "return (said.length ? said : [document.body]).map(e => e.innerText).join(' | ').slice(0, 600)"))
                .pollingEvery(Duration.ofMillis(50))
                .ignoring(StaleElementReferenceException.class)
                .ignoring(org.openqa.selenium.ElementClickInterceptedException.class)
                .until(condition);
    }

    public void picture(Path file) {
        try {
            Files.write(file, driver.getScreenshotAs(OutputType.BYTES));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    public void close() {
        driver.quit();
    }

    private static WebElement shown(List<WebElement> found) {
        return found.stream().filter(WebElement::isDisplayed).findFirst().orElse(null);
    }

    private static String quoted(String text) {
        return text.contains("'") ? "\"" + text + "\"" : "'" + text + "'";
    }
}
