package org.tidyleaf.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.regex.Pattern;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts.FontName;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestInstance.Lifecycle;
import org.junit.jupiter.api.extension.ExtendWith;
import org.tidyleaf.web.RunningApplication.Address;
import org.tidyleaf.web.account.AccountService;

/** The review's tools, driven in the browser by mouse and by keyboard; every state looked at by axe. */
@ExtendWith(RunningApplication.class)
@TestInstance(Lifecycle.PER_CLASS)
class ReviewDeskTest {

    private static final String TEST = """
            Frames, check 4
            Part A
            Circle the best answer.
            1. Which frame holds brood?
            A. the middle one
            B. the outer one
            2. Which frame holds honey?
            A. the outer one
            B. the middle one
            3. Which frame is drawn first?
            A. any frame
            B. the middle one
            Score: ___ / 9
            """;

    private final Browser browser = new Browser();
    private final Page teacher = browser.page(1280, 800);

    @BeforeAll
    void signIn(Address app) {
        app.bean(AccountService.class).make("Tomas Reyes", "tomas@wrenfield.example", "keeping-bees");
        teacher.navigate(app.url("/"));
        teacher.fill("#username", "tomas@wrenfield.example");
        teacher.fill("#password", "keeping-bees");
        teacher.click("button:has-text('Sign in')");
    }

    @AfterAll
    void close() {
        browser.close();
    }

    private void review(Address app, String name, byte[] bytes, String title) {
        teacher.navigate(app.url("/"));
        teacher.setInputFiles("#files", new FilePayload(name, "application/octet-stream", bytes));
        Locator row = teacher.locator(".leaf-row:has-text('" + title + "')").first();
        row.getByText("Review").click();
        assertThat(teacher.locator(".question-card").first()).isVisible();
        teacher.waitForLoadState();
    }

    private Locator card(int place) {
        return teacher.locator(".question-card").nth(place - 1);
    }

    private Locator tally() {
        return teacher.locator("#tally");
    }

    private void menu(int place, String item) {
        card(place).click();
        card(place).locator("[data-more]").click();
        teacher.locator("[data-menu] >> text=" + item).click();
    }

    private static void looks(Page page) {
        org.assertj.core.api.Assertions.assertThat(Browser.violations(page)).isEmpty();
    }

    @Test
    void aWholeTestIsPutInOrder(Address app) {
        review(app, "frames.txt", TEST.getBytes(StandardCharsets.UTF_8), "Frames, check 4");
        snagsAreSettledByTheirButtons();
        questionsAreArranged();
        optionsAreAddedAndMoved();
        wordsAreReplaced();
        historyGoesBack();
        org.assertj.core.api.Assertions.assertThat(browser.complaints()).isEmpty();
    }

    private void snagsAreSettledByTheirButtons() {
        looks(teacher);
        teacher.locator(".snag >> text=Say \u201cChoose the best answer").click();
        assertThat(teacher.locator(".questions-instructions")).hasText("Choose the best answer.");
        teacher.locator(".snag >> text=Share 9 points out evenly").click();
        assertThat(tally()).containsText("9 points");
        assertThat(teacher.locator(".snag:has-text('The paper says 9 points')")).hasCount(0);
    }

    private void questionsAreArranged() {
        menu(1, "Copy");
        assertThat(tally()).containsText("4 questions");
        menu(2, "Join to the one above");
        assertThat(tally()).containsText("3 questions");
        assertThat(card(1).locator(".question-card-option")).hasCount(4);
        teacher.locator("body").press("z");
        assertThat(tally()).containsText("4 questions");
        teacher.locator("body").press("z");
        assertThat(tally()).containsText("3 questions");
        menu(1, "Move down");
        assertThat(card(1)).containsText("Which frame holds honey?");
        menu(2, "Move up");
        assertThat(card(1)).containsText("Which frame holds brood?");
        menu(3, "New question below");
        assertThat(tally()).containsText("4 questions");
        menu(4, "Delete");
        assertThat(tally()).containsText("3 questions");
    }

    private void optionsAreAddedAndMoved() {
        card(1).click();
        teacher.locator("body").press("1");
        assertThat(tally()).containsText("keys 1 of 3");
        card(1).click();
        teacher.keyboard().press("e");
        card(1).locator("[data-option-add]").click();
        teacher.keyboard().type("none of the above");
        card(1).locator("[data-option-up]").nth(1).click();
        looks(teacher);
        card(1).getByText("Keep", new Locator.GetByTextOptions().setExact(true)).click();
        assertThat(card(1).locator(".question-card-option")).hasCount(3);
        assertThat(card(1).locator(".question-card-option.is-key")).containsText("the middle one");
        assertThat(card(1).locator(".question-card-option").first()).containsText("the outer one");
        assertThat(card(1)).containsText("These options keep their order");
    }

    private void wordsAreReplaced() {
        teacher.locator("body").press("f");
        teacher.keyboard().type("frame");
        teacher.keyboard().press("Tab");
        teacher.keyboard().type("comb");
        Locator panel = teacher.locator("[data-find-panel]");
        assertThat(panel.locator(".found li")).hasCount(4);
        looks(teacher);
        panel.getByText("Change all 4 places").click();
        assertThat(card(2)).containsText("Which comb holds honey?");
        assertThat(panel).isHidden();
    }

    private void historyGoesBack() {
        teacher.locator("[data-history]").click();
        Locator panel = teacher.locator("[data-panel]");
        assertThat(panel).containsText("Tomas Reyes");
        assertThat(panel.locator(".history-undone").first()).isVisible();
        looks(teacher);
        panel.getByText("Back to the beginning").click();
        assertThat(card(2)).containsText("Which frame holds honey?");
        assertThat(tally()).containsText("keys 0 of 3");
        teacher.locator("body").press("y");
        assertThat(teacher.locator(".questions-instructions")).hasText("Choose the best answer.");
        teacher.locator("body").press("Shift+?");
        assertThat(teacher.locator("[data-shortcuts]")).isVisible();
        looks(teacher);
        teacher.keyboard().press("Escape");
    }

    @Test
    void aKeyInAFileOfItsOwnIsAddedLater(Address app) {
        review(
                app,
                "frames 2.txt",
                TEST.replace("check 4", "check 5").getBytes(StandardCharsets.UTF_8),
                "Frames, check 5");
        tally().locator("summary").first().click();
        teacher.setInputFiles(
                "#key-file",
                new FilePayload("key.txt", "text/plain", "1 A\n2 A\n3 B\n".getBytes(StandardCharsets.UTF_8)));
        assertThat(tally()).containsText("keys 3 of 3");
        assertThat(tally()).containsText("3 keys set from key.txt.");
        // One decision, so undone at once.
        teacher.locator("body").press("z");
        assertThat(tally()).containsText("keys 0 of 3");
    }

    @Test
    void aTestLeavesAsAPackageAndComesBack(Address app) throws IOException {
        review(
                app,
                "frames 3.txt",
                TEST.replace("check 4", "check 6").getBytes(StandardCharsets.UTF_8),
                "Frames, check 6");
        card(1).click();
        teacher.locator("body").press("1");
        assertThat(tally()).containsText("keys 1 of 3");
        // The very first decision can be taken back, though only its card was sent anew.
        teacher.locator("body").press("z");
        assertThat(tally()).containsText("keys 0 of 3");
        teacher.locator("body").press("y");
        assertThat(tally()).containsText("keys 1 of 3");
        teacher.click("text=Take along");
        assertThat(teacher.locator("main")).containsText("Without a key so far: 2, 3");
        looks(teacher);
        byte[] printed =
                Files.readAllBytes(teacher.waitForDownload(() -> teacher.click("[aria-label='.docx for the class']"))
                        .path());
        org.assertj.core.api.Assertions.assertThat(printed).startsWith('P', 'K');
        byte[] zip = Files.readAllBytes(teacher.waitForDownload(() -> teacher.click("a:text-is(\"QTI 3.0\")"))
                .path());
        teacher.click("text=Send to course");
        assertThat(teacher.locator("#send")).containsText("Received as");
        assertThat(teacher.locator("#send")).containsText("no faults");
        looks(teacher);
        teacher.click("text=What arrived there");
        assertThat(teacher.locator(".arrived").first()).containsText("QTI Package 3.0.0");
        looks(teacher);
        review(app, "back.zip", zip, "back.zip");
        assertThat(tally()).containsText("keys 1 of 3");
        assertThat(card(1).locator(".question-card-option.is-key")).containsText("the middle one");
        assertThat(teacher.locator("[data-undo]")).isDisabled();
        looks(teacher);
    }

    @Test
    void aPagesLinesAreSweptOnItsPicture(Address app) throws IOException {
        review(app, "frames.pdf", pdf(), "Frames on paper");
        assertThat(teacher.locator(".sheet-page img")).hasJSProperty("complete", true);
        assertThat(teacher.locator(".threads path").first()).isAttached();
        looks(teacher);
        teacher.locator("#line-4 .sheet-box").click();
        teacher.locator("body").press("x");
        assertThat(teacher.locator("#line-4")).hasClass(Pattern.compile(".*sheet-line-aside.*"));
        assertThat(card(1).locator(".question-card-option")).hasCount(2);
    }

    private static byte[] pdf() throws IOException {
        String[] lines = {
            "Frames on paper, a quiz", "1. Which frame holds brood?", "A. the middle one", "B. the outer one", "C. none"
        };
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (PDDocument document = new PDDocument()) {
            PDPage page = new PDPage();
            document.addPage(page);
            try (PDPageContentStream out = new PDPageContentStream(document, page)) {
                for (int i = 0; i < lines.length; i++) {
                    out.beginText();
                    out.setFont(new PDType1Font(FontName.HELVETICA), 12);
                    out.newLineAtOffset(72, 700 - i * 20);
                    out.showText(lines[i]);
                    out.endText();
                }
            }
            document.save(bytes);
        }
        return bytes.toByteArray();
    }
}
