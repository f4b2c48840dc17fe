package org.tidyleaf.web;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.tidyleaf.web.RunningApplication.Address;
import org.tidyleaf.web.account.AccountService;

/** A teacher with an account of their own, signed in, and what they see of the review. */
final class Desk implements AutoCloseable {

    private static final String PASSWORD = "keeping-bees";

    private final Browser browser = new Browser();
    private final Page page = browser.page(1280, 800);
    private final Address app;

    Desk(Address app, String name, String mail) {
        this.app = app;
        app.bean(AccountService.class).make(name, mail, PASSWORD);
        signIn(page, mail);
    }

    void signIn(Page other, String mail) {
        other.navigate(app.url("/"));
        other.fill("#username", mail);
        other.fill("#password", PASSWORD);
        other.click("button:has-text('Sign in')");
    }

    Page page() {
        return page;
    }

    /** A second person's browser. */
    Page other() {
        return browser.page(1280, 800);
    }

    /** Drops a text and opens its review: two actions. */
    void drop(String name, String text) {
        page.navigate(app.url("/"));
        page.setInputFiles("#files", new FilePayload(name, "text/plain", text.getBytes(StandardCharsets.UTF_8)));
        page.locator(".leaf-row:has-text('" + name.replaceFirst("[.]\\w+$", "") + "')")
                .first()
                .getByText("Review")
                .click();
        whole(page);
    }

    /** Questions with three options each. */
    static String questions(String name, int count, String behindEach) {
        StringBuilder text = new StringBuilder(name + "\n\n");
        for (int i = 1; i <= count; i++) {
            text.append(i).append(". How many cells has comb no. ").append(i).append("?\n");
            text.append("A. ").append(100 + i).append('\n');
            text.append("B. ").append(200 + i).append('\n');
            text.append("C. ").append(300 + i).append('\n').append(behindEach).append('\n');
        }
        return text.toString();
    }

    /** Waits until all blocks of lines and cards are there. */
    static void whole(Page page) {
        page.waitForSelector("[data-review][data-whole=true]");
    }

    /** @param place counted from 1 */
    Locator card(int place) {
        return page.locator(".question-card").nth(place - 1);
    }

    Locator tally() {
        return page.locator("#tally");
    }

    /** Presses a key that belongs to the whole page. */
    void press(String key) {
        page.locator("body").press(key);
    }

    /** A question's menu, and an entry of it. */
    void menu(int place, String item) {
        card(place).locator(".question-card-stem").click();
        card(place).locator("[data-more]").click();
        page.locator("[data-menu] >> text=" + item).click();
    }

    String focusedText() {
        return String.valueOf(page.evaluate("document.activeElement.textContent.trim()"));
    }

    List<String> violations() {
        return Browser.violations(page);
    }

    @Override
    public void close() {
        browser.close();
    }
}
