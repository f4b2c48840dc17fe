package org.tidyleaf.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestInstance.Lifecycle;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import org.tidyleaf.tidying.Decision;
import org.tidyleaf.web.RunningApplication.Address;
import org.tidyleaf.web.account.AccountService;
import org.tidyleaf.web.leaf.LeafService;

/** A sitting with a list, a time limit, one question at a time and results kept back, as teacher and candidate see it. */
@ExtendWith(RunningApplication.class)
@TestInstance(Lifecycle.PER_CLASS)
class SittingRulesTest {

    private static final String TEST = """
            Bee check
            1. Who dances to show the way?
            A. workers *
            B. drones
            C. queens
            D. none of the above
            Explanation: Foragers do.
            2. What closes the gaps of a hive?
            Answer: propolis
            3. Bees have four wings. True / False
            Answer: True
            """;

    private final Browser browser = new Browser();
    private final Page teacher = browser.page(1280, 800);
    private final Page candidate = browser.page(390, 844);
    private UUID leaf = new UUID(0, 0);

    @BeforeAll
    void signIn(Address app) {
        UUID owner = app.bean(AccountService.class).make("Rhea", "rhea@wrenfield.example", "keeping-bees");
        LeafService leaves = app.bean(LeafService.class);
        leaf = leaves.add(owner, "check.txt", TEST.getBytes(StandardCharsets.UTF_8));
        leaves.begin(leaf);
        leaves.read(leaf);
        teacher.navigate(app.url("/"));
        teacher.fill("#username", "rhea@wrenfield.example");
        teacher.fill("#password", "keeping-bees");
        teacher.click("button:has-text('Sign in')");
    }

    @AfterAll
    void close() {
        browser.close();
    }

    /** Opens a sitting with what is filled in before; gives its link. */
    private String giveOut(Address app, Runnable rules) {
        teacher.navigate(app.url("/leaf/" + leaf + "/publish"));
        teacher.click("summary");
        rules.run();
        looks(teacher);
        teacher.click("text=Publish and open a sitting by link");
        return teacher.locator(".link-box code").textContent();
    }

    private void begin(String link, String who) {
        candidate.navigate(link);
        candidate.fill("#candidate", who);
        looks(candidate);
        candidate.click("button:has-text('Begin')");
    }

    private static void looks(Page page) {
        org.assertj.core.api.Assertions.assertThat(Browser.violations(page)).isEmpty();
    }

    private static Locator choice(Page page, String text) {
        return page.locator(".choice", new Page.LocatorOptions().setHasText(text));
    }

    @Test
    void aListedCandidateSitsOneQuestionAtATimeAndSeesTheResultWhenItIsGivenOut(Address app) {
        String link = giveOut(app, () -> {
            teacher.fill("[name=people]", "Name\tNumber\nAda Brook\t12\t+15\nLeo Marsh\t13");
            teacher.fill("[name=minutes]", "40");
            teacher.check("[name=oneByOne]");
            teacher.check("[name=shuffleOptions]");
            teacher.selectOption("[name=marks]", "ON_RELEASE");
            teacher.selectOption("[name=answers]", "ON_RELEASE");
        });
        String sitting = teacher.url();
        teacher.click(".people summary");
        List<String> codes = teacher.locator(".people code").allTextContents();
        begin(link, "no such code");
        assertThat(candidate.locator(".fault")).containsText("not on the list");
        begin(link, codes.get(0).toUpperCase(java.util.Locale.ROOT));
        assertThat(candidate.locator(".candidate-head")).containsText("Ada Brook");
        assertThat(candidate.locator("[data-time-left]")).containsText("54:");
        assertThat(candidate.locator(".answer-card")).hasCount(1);
        // The last option speaks of the others and stays last.
        assertThat(candidate.locator(".choice").last()).containsText("none of the above");
        choice(candidate, "workers").click();
        candidate.click("text=Next question");
        candidate.fill(".answer-card input", "propolis");
        looks(candidate);
        candidate.click("[data-check]");
        assertThat(candidate.locator(".unanswered li")).hasCount(1);
        candidate.click(".unanswered a");
        assertThat(candidate.locator(".answer-card")).containsText("four wings");
        choice(candidate, "False").click();

        teacher.navigate(sitting + "/watch");
        assertThat(teacher.locator("#rows")).containsText("Ada Brook");
        assertThat(teacher.locator("#rows")).containsText("not here yet");
        assertThat(teacher.locator("#rows")).containsText("3 of 3");
        looks(teacher);
        teacher.click(".watch-more summary");
        teacher.click("text=Give more minutes");
        assertThat(teacher.locator("#rows")).containsText("with 10 more");
        candidate.reload();
        assertThat(candidate.locator("[data-time-left]")).containsText("min left");

        candidate.click("[data-check]");
        candidate.click("text=Hand in now");
        assertThat(candidate.locator("main")).containsText("as soon as your teacher gives them out");
        assertThat(candidate.locator(".marked")).hasCount(0);
        org.assertj.core.api.Assertions.assertThat(candidate.content()).doesNotContain("Foragers do");
        // On another device the code leads back to what was handed in.
        candidate.context().clearCookies();
        begin(link, codes.get(0));
        assertThat(candidate.locator("main")).containsText("Handed in");

        teacher.navigate(sitting);
        teacher.click("text=Give the results out");
        candidate.reload();
        assertThat(candidate.locator(".candidate-points")).containsText("2 of 3 points");
        assertThat(candidate.locator(".marked")).hasCount(3);
        assertThat(candidate.locator("main")).containsText("Foragers do");
        looks(candidate);
    }

    @Test
    void whoseTimeIsOverHasHandedInWhatWasSavedUntilMoreIsGiven(Address app) {
        String link = giveOut(app, () -> teacher.fill("[name=minutes]", "30"));
        String sitting = teacher.url();
        begin(link, "Mina Vale");
        choice(candidate, "workers").click();
        assertThat(candidate.locator("#saved")).hasText("Saved");
        app.bean(JdbcTemplate.class)
                .update("update script set begun_at = begun_at - interval '31 minutes' where candidate = 'Mina Vale'");
        choice(candidate, "drones").click();
        assertThat(candidate.locator("#saved")).hasText("No more answers are taken.");
        candidate.reload();
        assertThat(candidate.locator("main")).containsText("Your time is up");
        assertThat(candidate.locator(".candidate-points")).containsText("1 of 3");
        teacher.navigate(sitting);
        assertThat(teacher.locator(".results tbody")).containsText("yes");
        teacher.navigate(sitting + "/watch");
        assertThat(teacher.locator("#rows")).containsText("time is up");
        teacher.click(".watch-more summary");
        teacher.click("text=Give more minutes");
        candidate.reload();
        assertThat(candidate.locator(".answer-card")).hasCount(3);
    }

    @Test
    void beforeItOpensNobodySeesAQuestion(Address app) {
        String opens = java.time.LocalDateTime.now()
                .plusDays(2)
                .withSecond(0)
                .withNano(0)
                .toString();
        String link = giveOut(app, () -> teacher.fill("[name=opens]", opens));
        candidate.navigate(link);
        assertThat(candidate.locator("main")).containsText("This test opens on");
        assertThat(candidate.locator("#candidate")).hasCount(0);
        org.assertj.core.api.Assertions.assertThat(candidate.content()).doesNotContain("four wings");
    }

    @Test
    void aSecondTryIsAScriptOfItsOwnAndTheBestCounts(Address app) {
        String link = giveOut(app, () -> {
            teacher.fill("[name=attempts]", "2");
            teacher.check("[name=best]");
        });
        String sitting = teacher.url();
        begin(link, "Jun Hale");
        choice(candidate, "workers").click();
        candidate.click("[data-check]");
        candidate.click("text=Hand in now");
        candidate.click("text=Try again (1 more attempt)");
        assertThat(candidate.locator(".choice input:checked")).hasCount(0);
        candidate.click("[data-check]");
        candidate.click("text=Hand in now");
        assertThat(candidate.locator("text=Try again")).hasCount(0);
        teacher.navigate(sitting);
        assertThat(teacher.locator(".results tbody tr")).hasCount(1);
        assertThat(teacher.locator(".results tbody .is-total")).hasText("1");
    }

    @Test
    void aKeyCorrectedAfterwardsMarksAllScriptsAnewAndSaysSo(Address app) {
        String link = giveOut(app, () -> {});
        String sitting = teacher.url();
        begin(link, "Noor Finch");
        choice(candidate, "drones").click();
        candidate.click("[data-check]");
        candidate.click("text=Hand in now");
        assertThat(candidate.locator(".candidate-points")).containsText("0 of 3");
        candidate.context().clearCookies();
        UUID owner = app.bean(JdbcTemplate.class)
                .queryForObject("select id from account where mail = 'rhea@wrenfield.example'", UUID.class);
        LeafService leaves = app.bean(LeafService.class);
        String first =
                leaves.open(owner, leaf).tidied().quiz().questions().get(0).id();
        leaves.decide(owner, leaf, new Decision.SetKey(first, java.util.Set.of(0, 1)));
        teacher.navigate(sitting);
        assertThat(teacher.locator(".regrade")).containsText("question 1 would be marked otherwise");
        looks(teacher);
        leaves.decide(owner, leaf, new Decision.SetKey(first, java.util.Set.of(1)));
        teacher.navigate(sitting);
        teacher.click("text=Mark all scripts anew");
        assertThat(teacher.locator("main")).containsText("Noor Finch 0 \u2192 1");
        assertThat(teacher.locator(".regrade")).hasCount(0);
        assertThat(teacher.locator(".results tbody .is-total")).hasText("1");
        leaves.decide(owner, leaf, new Decision.SetKey(first, java.util.Set.of(0)));
    }
}
