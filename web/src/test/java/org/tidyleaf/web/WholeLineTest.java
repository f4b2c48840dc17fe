package org.tidyleaf.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestInstance.Lifecycle;
import org.junit.jupiter.api.extension.ExtendWith;
import org.tidyleaf.web.RunningApplication.Address;
import org.tidyleaf.web.account.AccountService;

/** From a dropped file to the downloaded marks, in the browser, every page looked at by axe. */
@ExtendWith(RunningApplication.class)
@TestInstance(Lifecycle.PER_CLASS)
class WholeLineTest {

    private static final String TEST = """
            Hive parts, check 2
            Name: ____________
            1. Which bee lays the eggs?
            *A. the queen
            B. a worker
            C. a drone
            2. What is stored above the brood?
            A. honey
            B. wax
            3. Drones collect pollen. True / False
            Answer: False
            4. A queen that lays only ________ eggs was not mated.
            Answer: drone / unfertilised
            5. How many millimetres wide is a bee space?
            Answer: 8 mm (\u00b1 2)
            6. Explain why a hive is opened on warm days only.
            Turn over
            """;

    private final Browser browser = new Browser();
    private final Page teacher = browser.page(1280, 800);

    @BeforeAll
    void signIn(Address app) {
        app.bean(AccountService.class).make("Ines Okafor", "ines@wrenfield.example", "keeping-bees");
        teacher.navigate(app.url("/"));
        teacher.fill("#username", "ines@wrenfield.example");
        teacher.fill("#password", "keeping-bees");
        looks(teacher);
        teacher.click("button:has-text('Sign in')");
        assertThat(teacher.locator("h1")).hasText("Drop your tests here, just as they are");
    }

    @AfterAll
    void close() {
        browser.close();
    }

    private static void looks(Page page) {
        org.assertj.core.api.Assertions.assertThat(Browser.violations(page)).isEmpty();
    }

    private void drop(String name, byte[] bytes) {
        teacher.waitForLoadState();
        teacher.setInputFiles("#files", new FilePayload(name, "application/octet-stream", bytes));
    }

    private Locator card(int place) {
        return teacher.locator(".question-card").nth(place - 1);
    }

    private Locator tally() {
        return teacher.locator("#tally");
    }

    @Test
    void aTypedTestBecomesAMarkedOnlineTest(Address app) throws IOException {
        drop("hive parts.txt", TEST.getBytes(StandardCharsets.UTF_8));
        Locator row =
                teacher.locator(".leaf-row:has-text('Hive parts, check 2')").first();
        assertThat(row).containsText("6 questions");
        looks(teacher);
        row.getByText("Review").click();
        review();
        proof();
        String link = publish();
        Page candidate = browser.page(390, 844);
        answer(candidate, link);
        results(app);
        assertThat(browser.complaints()).isEmpty();
    }

    private void review() {
        assertThat(tally()).containsText("keys 5 of 6");
        assertThat(tally()).containsText("all 17 lines accounted for");
        assertThat(teacher.locator(".threads path").first()).isAttached();
        looks(teacher);

        // The question without a key is in focus already; one key press sets it.
        assertThat(card(2)).hasClass(Pattern.compile(".*is-focused.*"));
        teacher.keyboard().press("1");
        assertThat(tally()).containsText("keys 6 of 6");
        assertThat(card(2).locator("[aria-pressed=true]")).hasCount(1);

        // Text in place, by keyboard.
        teacher.keyboard().press("e");
        Locator stem = card(2).locator("textarea[name=stem]");
        stem.fill("What is stored above the brood nest?");
        looks(teacher);
        card(2).getByText("Keep", new Locator.GetByTextOptions().setExact(true)).click();
        assertThat(card(2)).containsText("What is stored above the brood nest?");

        // Points for one, then for all, then taken back.
        card(1).locator("[data-points]").click();
        card(1).locator(".question-card-points-field").fill("3");
        card(1).locator(".question-card-points-field").press("Enter");
        assertThat(tally()).containsText("8 points");
        tally().locator("summary").last().click();
        teacher.fill("#all-points", "2");
        tally().getByText("Set", new Locator.GetByTextOptions().setExact(true)).click();
        assertThat(tally()).containsText("12 points");
        teacher.locator("body").press("z");
        assertThat(tally()).containsText("8 points");

        // A line's role by sweep and key, and back.
        teacher.locator("#line-7").click();
        teacher.locator("body").press("x");
        assertThat(teacher.locator("#line-7")).hasClass(Pattern.compile(".*sheet-line-aside.*"));
        assertThat(tally()).containsText("5 questions");
        teacher.locator("[data-undo]").click();
        assertThat(tally()).containsText("6 questions");

        // All of it is still there after a reload.
        teacher.reload();
        assertThat(card(2)).containsText("What is stored above the brood nest?");
        assertThat(tally()).containsText("keys 6 of 6");
    }

    private void proof() {
        teacher.click("text=Proof");
        looks(teacher);
        teacher.locator(".choice:has-text('the queen')").click();
        teacher.locator(".gap-entry").fill("Drone");
        teacher.click("text=Mark it");
        assertThat(teacher.locator(".candidate-points")).hasText("4 of 8 points");
        assertThat(teacher.locator(".marked").nth(3)).containsText("right");
        looks(teacher);
        teacher.click("text=Back to review");
    }

    private String publish() {
        teacher.click("text=Publish …");
        looks(teacher);
        teacher.click("text=Publish and open a sitting by link");
        assertThat(teacher.locator(".link-box code")).isVisible();
        looks(teacher);
        return teacher.locator(".link-box code").textContent();
    }

    private void answer(Page candidate, String link) {
        candidate.navigate(link);
        looks(candidate);
        candidate.getByLabel("Your name").fill("=Tilda Marwood");
        candidate.keyboard().press("Enter");
        assertThat(candidate.locator(".answer-card")).hasCount(6);
        looks(candidate);
        assertThat(candidate.content()).doesNotContain("unfertilised");

        // With the keyboard alone.
        candidate.locator("input[type=radio]").first().focus();
        candidate.keyboard().press("Space");
        assertThat(candidate.locator("#saved")).hasText("Saved");
        candidate.locator(".gap-entry").focus();
        candidate.keyboard().type("drone");
        candidate.locator("input[inputmode=decimal]").focus();
        candidate.keyboard().type("9,5 mm");
        candidate.locator("textarea").focus();
        candidate.keyboard().type("The brood would chill.");
        assertThat(candidate.locator("#saved")).hasText("Saved");

        candidate.reload();
        assertThat(candidate.locator(".gap-entry")).hasValue("drone");
        assertThat(candidate.locator("input[type=radio]").first()).isChecked();
        assertThat(candidate.locator("textarea")).hasValue("The brood would chill.");
        candidate.click("text=Check and hand in");
        assertThat(candidate.locator(".unanswered li")).hasCount(2);
        looks(candidate);
        candidate.click("text=Hand in now");
        assertThat(candidate.locator(".candidate-points")).hasText("5 of 8 points");
        assertThat(candidate.locator("body")).containsText("1 answer is still to be marked");
        looks(candidate);
    }

    private void results(Address app) throws IOException {
        teacher.navigate(app.url("/sittings"));
        looks(teacher);
        teacher.click(".leaf-row h3 a >> nth=0");
        assertThat(teacher.locator(".results tbody tr")).containsText("=Tilda Marwood");
        assertThat(teacher.locator(".results .is-total").last()).hasText("5");
        looks(teacher);
        openAnswersAreMarkedByHand();
        Download csv = teacher.waitForDownload(() -> teacher.click("text=Download as CSV"));
        String text = Files.readString(csv.path());
        assertThat(text)
                .isEqualTo(
                        "\uFEFFName,Handed in,Question 1,Question 2,Question 3,Question 4,Question 5,Question 6,Points\r\n"
                                + "'=Tilda Marwood,yes,3,0,0,1,1,0.5,5.5\r\n");
    }

    private void openAnswersAreMarkedByHand() {
        teacher.click("text=Mark the open answers");
        teacher.waitForLoadState();
        assertThat(teacher.locator("main")).not().containsText("Tilda");
        teacher.locator("input[name=points]").fill("0.5");
        teacher.locator("input[name=points]").press("Enter");
        assertThat(teacher.locator(".open-answer .saved")).hasText("kept");
        looks(teacher);
        teacher.click("text=Back to the results");
        assertThat(teacher.locator(".results .is-total").last()).hasText("5.5");
        teacher.locator(".results tbody a").click();
        assertThat(teacher.locator("main")).containsText("5.5 of");
        looks(teacher);
        teacher.goBack();
        teacher.click("text=Figures of the questions");
        assertThat(teacher.locator("main")).containsText("With so few scripts");
        assertThat(teacher.locator(".figures-question")).hasCount(6);
        looks(teacher);
        teacher.click("text=Back to the results");
    }

    @Test
    void aFileThatCannotBeReadSaysWhy(Address app) {
        teacher.navigate(app.url("/"));
        drop("notes.docx", "no zip".getBytes(StandardCharsets.UTF_8));
        assertThat(teacher.locator(".leaf-row:has-text('notes.docx')").first())
                .containsText("Name it .txt and drop it again");
        drop("empty.docx", new byte[0]);
        assertThat(teacher.locator(".leaf-row:has-text('empty.docx')").first()).containsText("is empty");
    }

    @Test
    void pastedTextIsReadAndWithoutAKeyNothingIsPublished(Address app) {
        teacher.navigate(app.url("/"));
        teacher.click("text=or paste a test as text");
        teacher.fill("#text", "Wax check\n1. Who makes wax?\nA. workers\nB. drones\n");
        teacher.click("text=Read it");
        Locator row = teacher.locator(".leaf-row:has-text('Wax check')").first();
        assertThat(row).containsText("1 snag");
        row.getByText("Review").click();
        teacher.click("text=Publish …");
        assertThat(teacher.locator(".blockers li")).hasCount(1);
        assertThat(teacher.locator("text=Publish and open a sitting by link")).hasCount(0);
        looks(teacher);
        teacher.click(".blockers a");
        assertThat(card(1)).hasClass(Pattern.compile(".*is-focused.*"));
    }

    private static final String PARTS = """
            Tools check
            1. Match each tool with its use.
            1) smoker\ta) loosens frames
            2) hive tool\tb) calms the bees
            Answer: 1-b, 2-a
            2. Put these steps into the right order.
            A. Close the hive.
            B. Open the hive.
            C. Look at the frames.
            Answer: B, C, A
            3. Fill the gaps with words from the box.
            smoke   veil   honey
            Put on your ______ and light the ______.
            Answers: veil, smoke
            """;

    @Test
    void questionsOfSeveralPartsAreAnsweredAndEarnTheirShares(Address app) {
        teacher.navigate(app.url("/"));
        teacher.waitForLoadState();
        teacher.click("text=or paste a test as text");
        teacher.fill("#text", PARTS);
        teacher.click("text=Read it");
        teacher.locator(".leaf-row:has-text('Tools check')")
                .first()
                .getByText("Review")
                .click();
        assertThat(tally()).containsText("keys 3 of 3");
        looks(teacher);
        teacher.click("text=Proof");
        looks(teacher);
        Locator parts = teacher.locator(".part select");
        parts.nth(0).selectOption("calms the bees");
        parts.nth(1).selectOption("calms the bees");
        parts.nth(2).selectOption("3");
        parts.nth(3).selectOption("1");
        parts.nth(4).selectOption("2");
        Locator gaps = teacher.locator("select.gap-entry");
        gaps.nth(0).selectOption("veil");
        gaps.nth(1).selectOption("honey");
        teacher.click("text=Mark it");
        assertThat(teacher.locator(".candidate-points")).hasText("2 of 3 points");
        assertThat(teacher.locator(".marked").first()).containsText("partly right");
    }

    @Test
    void aWholeKeyIsTypedAsOneLineAndUndoneAtOnce(Address app) {
        teacher.navigate(app.url("/"));
        teacher.waitForLoadState();
        teacher.click("text=or paste a test as text");
        teacher.fill(
                "#text",
                "Key check\nEach question is worth 2 points.\nName: ______ Score: ____ / 5\n1. Who dances?\nA. workers\nB. drones\n2. Who lays?\nA. drones\nB. the queen\n");
        teacher.click("text=Read it");
        teacher.locator(".leaf-row:has-text('Key check')")
                .first()
                .getByText("Review")
                .click();
        assertThat(tally()).containsText("keys 0 of 2");
        teacher.waitForLoadState();
        teacher.locator(".snag:has-text('add up to 4')")
                .getByText("It is right so")
                .click();
        assertThat(teacher.locator(".snag:has-text('add up to 4')")).hasCount(0);
        tally().locator("summary").first().click();
        teacher.fill("#key-line", "AB");
        teacher.keyboard().press("Enter");
        assertThat(tally()).containsText("keys 2 of 2");
        assertThat(tally()).containsText("2 keys set.");
        teacher.locator("body").press("z");
        assertThat(tally()).containsText("keys 0 of 2");
    }
}
