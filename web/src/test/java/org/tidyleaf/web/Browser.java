package org.tidyleaf.web;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType.LaunchOptions;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Headless Chromium that can reach nothing but this machine; remembers what pages complain of. */
final class Browser implements AutoCloseable {
    private final Playwright playwright;
    private final com.microsoft.playwright.Browser chromium;
    private final List<String> complaints = new ArrayList<>();

    Browser() {
        playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        chromium = playwright
                .chromium()
                .launch(new LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium"))
                        .setChromiumSandbox(false)
                        .setHeadless(true)
                        .setArgs(List.of(
                                "--disable-gpu",
                                "--disable-quic",
                                "--no-first-run",
                                "--disable-background-networking",
                                "--disable-component-update",
                                "--disable-sync",
                                "--disable-domain-reliability",
                                "--disable-default-apps",
                                "--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE 127.0.0.1, EXCLUDE localhost")));
    }

    Page page(int width, int height) {
        BrowserContext context = chromium.newContext(
                new com.microsoft.playwright.Browser.NewContextOptions().setViewportSize(width, height));
        Page page = context.newPage();
        page.setDefaultTimeout(15_000);
        page.onPageError(complaints::add);
        page.onConsoleMessage(message -> {
            if (message.type().equals("error")) {
                complaints.add(message.text());
            }
        });
        return page;
    }

    /** What scripts and the content policy complained of so far. */
    List<String> complaints() {
        return List.copyOf(complaints);
    }

    /** Violations of WCAG that axe finds on the page, with their places. */
    static List<String> violations(Page page) {
        return new AxeBuilder(page)
                .analyze().getViolations().stream().map(Browser::describe).toList();
    }

    private static String describe(Rule rule) {
        return rule.getId() + ": "
                + rule.getNodes().stream().map(node -> node.getHtml()).toList();
    }

    @Override
    public void close() {
        chromium.close();
        playwright.close();
    }
}
