package org.tidyleaf.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestInstance.Lifecycle;
import org.junit.jupiter.api.extension.ExtendWith;
import org.tidyleaf.question.OptionOrder;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Settings;
import org.tidyleaf.tidying.Decision;
import org.tidyleaf.web.RunningApplication.Address;
import org.tidyleaf.web.account.AccountService;
import org.tidyleaf.web.leaf.LeafService;

/** What helps a candidate along: progress, flags, what must be answered, the passage in view, pictures enlarged. */
@ExtendWith(RunningApplication.class)
@TestInstance(Lifecycle.PER_CLASS)
class CandidatePageTest {

    private static final String TEST = """
            Wintering

            Text for questions 1-2
            A colony lives through the winter as a cluster and burns about 12 kilograms of honey until March.
            1. How does a colony spend the winter?
            A. as a cluster *
            B. asleep
            2. How much honey does it burn?
            A. 2 kilograms
            B. 12 kilograms *
            3. Who sits in the middle?
            A. the queen *
            B. the drones
            """;

    private final Browser browser = new Browser();
    private final Page teacher = browser.page(1280, 800);
    private UUID owner = new UUID(0, 0);
    private UUID leaf = new UUID(0, 0);

    @BeforeAll
    void settle(Address app) {
        owner = app.bean(AccountService.class).make("Noor Vale", "noor@wrenfield.example", "keeping-bees");
        LeafService leaves = app.bean(LeafService.class);
        leaf = leaves.add(owner, "wintering.txt", TEST.getBytes(StandardCharsets.UTF_8));
        leaves.begin(leaf);
        leaves.read(leaf);
        List<Question> questions = leaves.open(owner, leaf).tidied().quiz().questions();
        leaves.decide(owner, leaf, new Decision.SetUp(questions.get(2).id(), Settings.NONE.withRequired(true)));
        leaves.decide(
                owner, leaf, new Decision.SetUp(questions.get(0).id(), Settings.NONE.withOrder(OptionOrder.KEPT)));
        teacher.navigate(app.url("/"));
        teacher.fill("#username", "noor@wrenfield.example");
        teacher.fill("#password", "keeping-bees");
        teacher.click("button:has-text('Sign in')");
    }

    @AfterAll
    void close() {
        browser.close();
    }

    private String giveOut(Address app, boolean oneByOne) {
        teacher.navigate(app.url("/leaf/" + leaf + "/publish"));
        teacher.click("summary");
        if (oneByOne) {
            teacher.check("[name=oneByOne]");
        }
        teacher.click("text=Publish and open a sitting by link");
        return teacher.locator(".link-box code").textContent();
    }

    private Page begin(String link, int width) {
        Page candidate = browser.page(width, 844);
        candidate.navigate(link);
        candidate.fill("#candidate", "Ada Brook");
        candidate.click("button:has-text('Begin')");
        return candidate;
    }

    @Test
    void progressAndFlagsAreShownAndKept(Address app) {
        Page candidate = begin(giveOut(app, false), 390);
        assertThat(candidate.locator("[data-progress]")).hasText("0 of 3 answered");
        candidate.locator(".choice:has-text('as a cluster')").click();
        assertThat(candidate.locator("[data-progress]")).hasText("1 of 3 answered");
        Locator second = candidate.locator(".answer-card").nth(1);
        second.locator(".flag input").check();
        assertThat(candidate.locator(".question-walk-step").nth(1))
                .hasClass(java.util.regex.Pattern.compile(".*is-flagged.*"));
        assertThat(candidate.locator("#saved")).hasText("Saved");
        candidate.reload();
        assertThat(candidate.locator(".answer-card").nth(1).locator(".flag input"))
                .isChecked();
        assertThat(candidate.locator("[data-progress]")).hasText("1 of 3 answered");
        candidate.click("[data-check]");
        assertThat(candidate.locator("main")).containsText("You wanted to come back to this one:");
        Assertions.assertThat(Browser.violations(candidate)).isEmpty();
        candidate.close();
    }

    @Test
    void whatIsAnsweredBeforeThePageListensCountsToo(Address app) {
        String link = giveOut(app, false);
        Page candidate = browser.page(390, 844);
        List<Route> held = new ArrayList<>();
        candidate.route("**/js/answering.js", held::add);
        candidate.navigate(link);
        candidate.fill("#candidate", "Ada Brook");
        candidate.click("button:has-text('Begin')");
        candidate.locator(".choice:has-text('as a cluster')").click();
        candidate.waitForCondition(() -> !held.isEmpty());
        assertThat(candidate.locator("[data-progress]")).hasText("0 of 3 answered");
        held.forEach(Route::resume);
        assertThat(candidate.locator("[data-progress]")).hasText("1 of 3 answered");
        candidate.close();
    }

    @Test
    void whatMustBeAnsweredKeepsAScriptFromBeingHandedIn(Address app) {
        String link = giveOut(app, false);
        Page candidate = begin(link, 390);
        assertThat(candidate.locator(".answer-card").nth(2)).containsText("must be answered");
        candidate.click("[data-check]");
        assertThat(candidate.locator("main")).containsText("Must be answered before you can hand in: 3.");
        assertThat(candidate.locator("text=Hand in now")).hasCount(0);
        // Nor by going around the page.
        candidate.evaluate("async () => { const token = document.body.getAttribute('hx-headers');"
                + " await fetch(location.pathname.replace('/check', '/hand-in'),"
                + " { method: 'POST', headers: JSON.parse(token) }); }");
        candidate.navigate(link);
        assertThat(candidate.locator(".answer-card")).hasCount(3);
        candidate.locator(".choice:has-text('the queen')").click();
        assertThat(candidate.locator("#saved")).hasText("Saved");
        candidate.click("[data-check]");
        candidate.click("text=Hand in now");
        assertThat(candidate.locator("main")).containsText("Handed in");
        candidate.close();
    }

    @Test
    void thePassageIsInViewWithEachOfItsQuestions(Address app) {
        Page one = begin(giveOut(app, true), 390);
        assertThat(one.locator(".candidate-passage")).containsText("12 kilograms of honey until March");
        one.click("text=Next question");
        assertThat(one.locator(".answer-card")).containsText("How much honey");
        assertThat(one.locator(".candidate-passage")).containsText("12 kilograms of honey until March");
        one.locator(".candidate-passage summary").click();
        assertThat(one.locator(".candidate-passage div")).isHidden();
        one.click("text=Next question");
        assertThat(one.locator(".answer-card")).containsText("Who sits");
        assertThat(one.locator(".candidate-passage")).hasCount(0);
        one.close();
        Page wide = begin(giveOut(app, false), 1280);
        // Places are known only when the page has its styles.
        wide.waitForLoadState();
        assertThat(wide.locator(".candidate-passage")).hasCount(1);
        double passage = wide.locator(".candidate-passage").boundingBox().x;
        double question = wide.locator(".answer-card").first().boundingBox().x;
        Assertions.assertThat(question).isGreaterThan(passage + 200);
        Assertions.assertThat(Browser.violations(wide)).isEmpty();
        wide.close();
    }

    @Test
    void theProofIsFilledInAndShownOnAPhoneAndBesideThePaper(Address app) {
        teacher.navigate(app.url("/leaf/" + leaf + "/proof"));
        teacher.click("text=Fill in right");
        teacher.click("text=Mark it");
        assertThat(teacher.locator(".candidate-points")).containsText("3 of 3");
        teacher.navigate(app.url("/leaf/" + leaf + "/proof/phone"));
        assertThat(teacher.frameLocator(".phone").locator(".answer-card")).hasCount(3);
        teacher.frameLocator(".phone").locator(".choice:has-text('asleep')").click();
        teacher.frameLocator(".phone").locator("text=Mark it").click();
        assertThat(teacher.frameLocator(".phone").locator(".candidate-points")).containsText("0 of 3");
        teacher.navigate(app.url("/leaf/" + leaf + "/proof/parity"));
        Locator row = teacher.locator(".parity").nth(1);
        assertThat(row.locator(".parity-paper")).containsText("B. 12 kilograms *");
        assertThat(row.locator(".parity-screen")).containsText("How much honey does it burn?");
        assertThat(row.locator(".parity-screen")).not().containsText("*");
        Assertions.assertThat(Browser.violations(teacher)).isEmpty();
    }

    @Test
    void aColleagueWorksOnALeafOnlyWhileItIsShared(Address app) {
        AccountService accounts = app.bean(AccountService.class);
        LeafService leaves = app.bean(LeafService.class);
        UUID colleague = accounts.make("Per Lind", "per@wrenfield.example", "keeping-bees");
        Assertions.assertThatThrownBy(() -> leaves.open(colleague, leaf)).hasMessageContaining(leaf.toString());
        teacher.navigate(app.url("/leaf/" + leaf));
        teacher.click("[data-share]");
        teacher.fill("#share-mail", "per@wrenfield.example");
        teacher.keyboard().press("Enter");
        assertThat(teacher.locator("#sharing")).containsText("Per Lind");
        Assertions.assertThat(leaves.open(colleague, leaf).id()).isEqualTo(leaf);
        Assertions.assertThat(leaves.isOwner(colleague, leaf)).isFalse();
        // Who works on it does not pass it on.
        leaves.unshare(colleague, leaf, colleague);
        Assertions.assertThat(leaves.sharedWith(leaf)).containsExactly(colleague);
        teacher.click("text=No longer");
        assertThat(teacher.locator("#sharing")).containsText("Only you so far");
        Assertions.assertThatThrownBy(() -> leaves.open(colleague, leaf)).hasMessageContaining(leaf.toString());
    }
}
