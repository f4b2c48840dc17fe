package org.tidyleaf.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import javax.imageio.ImageIO;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestInstance.Lifecycle;
import org.junit.jupiter.api.extension.ExtendWith;
import org.tidyleaf.web.RunningApplication.Address;

/** Questions changed in place: texts, formulas, parts, pictures. */
@ExtendWith(RunningApplication.class)
@TestInstance(Lifecycle.PER_CLASS)
class DeskEditingTest {

    private Desk desk;
    private Page teacher;

    @BeforeAll
    void signIn(Address app) {
        desk = new Desk(app, "Petra Lowe", "petra@wrenfield.example");
        teacher = desk.page();
    }

    @AfterAll
    void close() {
        desk.close();
    }

    @Test
    void partsAreTypedAnewAndTheKeyStays() {
        desk.drop(
                "Combs pairs.txt",
                "Combs pairs\n\n1. Match each tool with its use.\n1) smoker\ta) calms\n2) viel\tb) covers\n"
                        + "3) feeder\tc) holds syrup\nAnswer: 1-a, 2-b, 3-c\n");
        desk.card(1).locator(".question-card-stem").click();
        desk.press("e");
        teacher.fill("[name=firstSide]", "smoker\nveil\nfeeder");
        Assertions.assertThat(desk.violations()).isEmpty();
        teacher.click(".card-form .action-main");
        assertThat(desk.card(1)).containsText("veil = covers");
        assertThat(desk.tally()).containsText("keys 1 of 1");
        desk.press("z");
        assertThat(desk.card(1)).containsText("viel = covers");
    }

    @Test
    void aQuestionIsSplitAtOneOfItsLines() {
        desk.drop(
                "Combs joined.txt",
                "Combs joined\n\n1. Explain who builds the combs in spring\nand say who cleans the cells.\n2. Who dances?\n");
        desk.card(1).locator(".question-card-stem").click();
        desk.card(1).locator("[data-more]").click();
        teacher.click("[data-open=split]");
        Locator line = teacher.locator(".split-line:has-text('who cleans')");
        assertThat(line).isVisible();
        Assertions.assertThat(desk.violations()).isEmpty();
        line.click();
        assertThat(desk.tally()).containsText("3 questions");
        assertThat(teacher.locator("[data-panel]")).isHidden();
        desk.press("z");
        assertThat(desk.tally()).containsText("2 questions");
    }

    @Test
    void aPictureIsAddedDescribedCutMovedAndTakenOut() throws IOException {
        desk.drop("Combs two.txt", Desk.questions("Combs two", 2, ""));
        pictures(1);
        teacher.setInputFiles("#file-new", new FilePayload("comb.png", "image/png", picture(200, 100)));
        assertThat(desk.card(1).locator("img")).hasJSProperty("naturalWidth", 200);
        pictures(1);
        Assertions.assertThat(desk.violations()).isEmpty();
        teacher.fill("[name=alternative]", "an empty comb");
        teacher.keyboard().press("Enter");
        assertThat(desk.card(1).locator("img")).hasAttribute("alt", "an empty comb");
        pictures(1);
        BoundingBox box = teacher.locator("[data-crop]").boundingBox();
        teacher.mouse().move(box.x + box.width / 2, box.y + 1);
        teacher.mouse().down();
        teacher.mouse().move(box.x + box.width - 1, box.y + box.height - 1);
        teacher.mouse().up();
        assertThat(teacher.locator("[name=left]")).hasValue("50");
        teacher.locator("[data-crop-form] button").click();
        assertThat(desk.card(1).locator("img")).hasJSProperty("naturalWidth", 100);
        pictures(1);
        teacher.selectOption("[name=toPart]", "option B");
        teacher.locator(".picture-forms button:text-is('Move within')").click();
        assertThat(desk.card(1).locator(".question-card-option").nth(1).locator("img"))
                .hasAttribute("alt", "an empty comb");
        pictures(1);
        assertThat(teacher.locator(".picture-where")).hasText("in option B");
        Assertions.assertThat(desk.violations()).isEmpty();
        teacher.locator(".picture-forms button:text-is('Move')").click();
        assertThat(desk.card(2).locator("img")).hasAttribute("alt", "an empty comb");
        assertThat(desk.card(1).locator("img")).hasCount(0);
        pictures(2);
        teacher.setInputFiles("#file-0", new FilePayload("note.png", "image/png", "no picture".getBytes()));
        assertThat(desk.tally()).containsText("note.png is of a kind that can't be read here");
        pictures(2);
        teacher.setInputFiles("#file-0", new FilePayload("frame.png", "image/png", picture(60, 30)));
        assertThat(desk.card(2).locator("img")).hasJSProperty("naturalWidth", 60);
        pictures(2);
        teacher.click("text=Take it out");
        assertThat(desk.card(2).locator("img")).hasCount(0);
        pictures(2);
        teacher.selectOption("#part-new", "option C");
        teacher.setInputFiles("#file-new", new FilePayload("cell.png", "image/png", picture(40, 40)));
        assertThat(desk.card(2).locator(".question-card-option").nth(2).locator("img"))
                .hasJSProperty("naturalWidth", 40);
    }

    private void pictures(int place) {
        desk.card(place).click();
        desk.card(place).locator("[data-more]").click();
        teacher.click("[data-open=pictures]");
        assertThat(teacher.locator("[data-panel]")).isVisible();
    }

    private static byte[] picture(int width, int height) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB), "png", out);
        return out.toByteArray();
    }

    @Test
    void aFormulaAndBoldWordsAreShownWhileTyped() {
        desk.drop("Combs area.txt", Desk.questions("Combs area", 1, ""));
        desk.card(1).click();
        teacher.keyboard().press("e");
        teacher.fill("[name=stem]", "What is \\(\\frac{a}{b}\\), **not** rounded?");
        assertThat(teacher.locator("[data-formula-view] mfrac")).isVisible();
        assertThat(teacher.locator("[data-formula-view] b, [data-formula-view] strong"))
                .hasText("not");
        desk.card(1)
                .getByText("Keep", new Locator.GetByTextOptions().setExact(true))
                .click();
        assertThat(desk.card(1).locator(".question-card-stem mfrac")).isVisible();
        assertThat(desk.card(1).locator(".question-card-stem")).containsText("not");
    }

    @Test
    void headingsPassagesAndTheTitleAreTypedAnew() {
        desk.drop("Combs heads.txt", """
                Combs heads

                Part A: Swarms
                Read the text and answer questions 1 and 2.
                A swarm hangs in a tree for some hours. Scouts look for a hollow.
                1. Where does it hang?
                A. in a tree
                B. in a hollow
                2. Who looks for a home?
                A. scouts
                B. drones
                """);
        teacher.fill("[name=title]", "Swarms in May");
        teacher.keyboard().press("Enter");
        assertThat(desk.tally()).containsText("Renamed.");
        Locator heading = teacher.locator(".heading-edit").first();
        heading.locator("summary").click();
        heading.locator("[name=title]").fill("First part");
        heading.getByText("Keep").click();
        assertThat(teacher.locator(".questions-section")).hasText("First part");
        Locator passage = teacher.locator(".heading-edit:has(textarea[name=text])");
        passage.locator("summary").click();
        passage.locator("textarea").fill("A swarm hangs in a tree.");
        passage.getByText("Keep").click();
        assertThat(teacher.locator(".questions-passage")).hasText("A swarm hangs in a tree.");
        teacher.reload();
        assertThat(teacher.locator("[name=title]").first()).hasValue("Swarms in May");
        assertThat(teacher.locator(".questions-section")).hasText("First part");
    }

    @Test
    void aTypeIsChangedAndKeepsWhatItCan() {
        desk.drop("Combs types.txt", """
                Combs types

                1. Who builds the comb?
                A. workers
                B. drones
                C. queens
                Answer: A
                2. The comb is made of ____ and holds ____.
                Answer: wax, honey
                """);
        as(1, "multiple-choice");
        assertThat(desk.card(1).locator(".is-key")).containsText("workers");
        as(1, "text-entry");
        assertThat(desk.card(1).locator(".question-card-answer")).containsText("workers");
        as(2, "gap-match");
        assertThat(desk.card(2)).containsText("words into gaps");
        assertThat(desk.tally()).containsText("keys 2 of 2");
        as(2, "text-entry");
        assertThat(desk.card(2).locator(".question-card-answer")).containsText("honey");
        open(2);
        teacher.fill("[name=answer]", "wax / beeswax\nhoney");
        teacher.fill(".card-form [name=points]", "2.5");
        teacher.keyboard().press("Control+Enter");
        assertThat(desk.card(2).locator(".question-card-answer")).containsText("beeswax");
        assertThat(desk.tally()).containsText("3.5 points");
    }

    private void open(int place) {
        desk.card(place).locator(".question-card-stem").click();
        desk.press("e");
        assertThat(desk.card(place).locator("[name=stem]")).isFocused();
    }

    private void as(int place, String type) {
        open(place);
        teacher.selectOption("[name=type]", type);
        desk.card(place).locator(".action-main").click();
        assertThat(teacher.locator("[data-editing]")).hasCount(0);
    }
}
