package org.tidyleaf.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestInstance.Lifecycle;
import org.junit.jupiter.api.extension.ExtendWith;
import org.tidyleaf.web.RunningApplication.Address;
import org.tidyleaf.web.account.AccountService;

/** How few actions it takes, and what two people at one leaf see of each other. */
@ExtendWith(RunningApplication.class)
@TestInstance(Lifecycle.PER_CLASS)
class DeskActionsTest {

    private static final int MOST_ACTIONS = 6;

    private final Browser browser = new Browser();
    private final Page teacher = browser.page(1280, 800);
    private int actions;

    @BeforeAll
    void signIn(Address app) {
        app.bean(AccountService.class).make("Ines Marsh", "isla@wrenfield.example", "keeping-bees");
        signIn(app, teacher, "isla@wrenfield.example");
    }

    private static void signIn(Address app, Page page, String mail) {
        page.navigate(app.url("/"));
        page.fill("#username", mail);
        page.fill("#password", "keeping-bees");
        page.click("button:has-text('Sign in')");
    }

    @AfterAll
    void close() {
        browser.close();
    }

    private void drop(Address app, String name, String text) {
        teacher.navigate(app.url("/"));
        teacher.setInputFiles("#files", new FilePayload(name, "text/plain", text.getBytes(StandardCharsets.UTF_8)));
        actions++;
        teacher.locator(".leaf-row:has-text('" + name.replace(".txt", "") + "')")
                .first()
                .getByText("Review")
                .click();
        actions++;
        whole(teacher);
    }

    private static void whole(Page page) {
        page.waitForSelector("[data-review][data-whole=true]");
    }

    private static Locator tally(Page page) {
        return page.locator("#tally");
    }

    private Locator card(int place) {
        return teacher.locator(".question-card").nth(place - 1);
    }

    private static String questions(String name, int count, String behindEach) {
        StringBuilder text = new StringBuilder(name + "\n\n");
        for (int i = 1; i <= count; i++) {
            text.append(i).append(". How many cells has comb no. ").append(i).append("?\n");
            text.append("A. ").append(100 + i).append('\n');
            text.append("B. ").append(200 + i).append('\n');
            text.append("C. ").append(300 + i).append('\n').append(behindEach).append('\n');
        }
        return text.toString();
    }

    @Test
    void aTestWithoutKeysIsPublishableInFewActions(Address app) {
        actions = 0;
        drop(app, "Combs 25.txt", questions("Combs 25", 25, ""));
        assertThat(tally(teacher)).containsText("keys 0 of 25");
        tally(teacher).locator("summary").first().click();
        actions++;
        teacher.fill("#key-line", "ABCABCABCABCABCABCABCABCA");
        teacher.keyboard().press("Enter");
        actions++;
        assertThat(tally(teacher)).containsText("keys 25 of 25");
        teacher.click("text=Publish");
        actions++;
        assertThat(teacher.locator("main")).not().containsText("Without a key");
        assertThat(teacher.locator("main button.action-main").first()).isEnabled();
        Assertions.assertThat(actions).isLessThanOrEqualTo(MOST_ACTIONS);
    }

    @Test
    void anUnknownAnswerWordIsMendedByOnePin(Address app) {
        drop(app, "Combs 12.txt", questions("Combs 12", 12, "Proof-mark: b"));
        assertThat(tally(teacher)).containsText("keys 0 of 12");
        teacher.locator(".sheet-line:has-text('Proof-mark')").first().click();
        teacher.keyboard().press("k");
        assertThat(tally(teacher)).containsText("keys 12 of 12");
        assertThat(tally(teacher)).containsText("11 more lines read differently");
        tally(teacher).locator(".notice summary").click();
        assertThat(tally(teacher).locator("[data-show-line]")).hasCount(11);
        teacher.keyboard().press("z");
        assertThat(tally(teacher)).containsText("keys 0 of 12");
    }

    @Test
    void wordsOfALineAreChosenByKeyboardAndByMouse(Address app) {
        drop(app, "Combs one.txt", "Combs one\n\n1. Which comb is drawn first? Sol.: b\na) any\nb) the middle one\n");
        assertThat(tally(teacher)).containsText("keys 0 of 1");
        teacher.locator("#line-2").click();
        teacher.keyboard().press("w");
        assertThat(teacher.locator(".line-word").first()).isFocused();
        for (int i = 0; i < 6; i++) {
            teacher.keyboard().press("ArrowRight");
        }
        teacher.keyboard().press("Shift+ArrowRight");
        Assertions.assertThat(Browser.violations(teacher)).isEmpty();
        teacher.keyboard().press("k");
        assertThat(tally(teacher)).containsText("keys 1 of 1");
        assertThat(card(1).locator(".question-card-stem")).hasText("Which comb is drawn first?");
        teacher.keyboard().press("z");
        assertThat(tally(teacher)).containsText("keys 0 of 1");
        teacher.locator("#line-2").dblclick();
        teacher.locator(".line-word").nth(6).click();
        teacher.locator(".line-word").nth(7).click();
        teacher.click("[data-role=KEY]");
        assertThat(tally(teacher)).containsText("keys 1 of 1");
        assertThat(teacher.locator(".pinned-words")).hasText("Sol.: b");
    }

    /** The main actions without a mouse: what has focus is what the page itself gave it. */
    @Test
    void theDeskIsWorkedByKeyboardAlone(Address app) {
        drop(app, "Combs keys.txt", questions("Combs keys", 4, ""));
        teacher.locator("body").press("j");
        teacher.keyboard().press("2");
        assertThat(tally(teacher)).containsText("keys 1 of 4");
        assertThat(card(2).locator(".is-key")).hasText(Pattern.compile("B\\s*202"));
        teacher.keyboard().press("e");
        assertThat(card(2).locator("[name=stem]")).isFocused();
        teacher.keyboard().press("Control+End");
        teacher.keyboard().type(" Count them.");
        for (int i = 0; i < 40 && !"Keep".equals(focusedText()); i++) {
            teacher.keyboard().press("Tab");
        }
        teacher.keyboard().press("Enter");
        assertThat(card(2).locator(".question-card-stem")).containsText("Count them.");
        // The menu opens with its first entry in focus, and arrows go through it.
        card(2).locator("[data-more]").focus();
        teacher.keyboard().press("Enter");
        for (int i = 0; i < 20 && !"Copy".equals(focusedText()); i++) {
            teacher.keyboard().press("ArrowDown");
        }
        teacher.keyboard().press("Enter");
        assertThat(tally(teacher)).containsText("5 questions");
        teacher.locator("body").press("z");
        assertThat(tally(teacher)).containsText("4 questions");
        teacher.keyboard().press("y");
        assertThat(tally(teacher)).containsText("5 questions");
        teacher.keyboard().press("z");
        // Lines are chosen with the arrows, more of them with shift.
        teacher.locator("[data-sheet]").focus();
        teacher.keyboard().press("ArrowDown");
        teacher.keyboard().press("ArrowDown");
        teacher.keyboard().press("Shift+ArrowDown");
        assertThat(teacher.locator("[data-brush-words]")).containsText("2 lines");
        teacher.keyboard().press("x");
        assertThat(tally(teacher)).containsText("2 lines set aside");
        teacher.keyboard().press("z");
        assertThat(tally(teacher)).containsText("0 lines set aside");
        teacher.keyboard().press("?");
        assertThat(teacher.locator("[data-shortcuts]")).isVisible();
        Assertions.assertThat(Browser.violations(teacher)).isEmpty();
        teacher.keyboard().press("Escape");
        assertThat(teacher.locator("[data-shortcuts]")).isHidden();
        teacher.keyboard().press("n");
        assertThat(teacher.locator(".question-card.is-focused [data-snag]").first())
                .isVisible();
    }

    private String focusedText() {
        return String.valueOf(teacher.evaluate("document.activeElement.textContent.trim()"));
    }

    @Test
    void severalQuestionsAreChangedAtOnce(Address app) {
        drop(app, "Combs 6.txt", questions("Combs 6", 6, ""));
        card(1).click();
        teacher.keyboard().press("v");
        card(3).locator("[data-choose]")
                .click(new Locator.ClickOptions()
                        .setModifiers(java.util.List.of(com.microsoft.playwright.options.KeyboardModifier.SHIFT)));
        assertThat(teacher.locator("[data-many-count]")).hasText("3");
        change("TOPIC", "Comb building");
        assertThat(teacher.locator(".question-card:has-text('Topic: Comb building')"))
                .hasCount(3);
        Assertions.assertThat(Browser.violations(teacher)).isEmpty();
        change("POINTS", "2");
        assertThat(tally(teacher)).containsText("9 points");
        teacher.click("[data-many-all]");
        assertThat(teacher.locator("[data-many-count]")).hasText("6");
        teacher.selectOption("[name=change]", "TYPE");
        teacher.selectOption("[data-for=TYPE]", "multiple-choice");
        teacher.click(".many .action-main");
        assertThat(card(6)).containsText("several right answers");
        change("NEW_SECTION", "Building");
        assertThat(teacher.locator(".questions-section")).hasText("Building");
        teacher.click("[data-many-none]");
        card(6).locator("[data-choose]").click();
        teacher.selectOption("[name=change]", "DELETE");
        teacher.click(".many .action-main");
        assertThat(tally(teacher)).containsText("5 questions");
        teacher.locator("body").press("z");
        assertThat(tally(teacher)).containsText("6 questions");
    }

    @Test
    void partsAreTypedAnewAndTheKeyStays(Address app) {
        drop(
                app,
                "Combs pairs.txt",
                "Combs pairs\n\n1. Match each tool with its use.\n1) smoker\ta) calms\n2) viel\tb) covers\n"
                        + "3) feeder\tc) holds syrup\nAnswer: 1-a, 2-b, 3-c\n");
        card(1).locator(".question-card-stem").click();
        teacher.locator("body").press("e");
        teacher.fill("[name=firstSide]", "smoker\nveil\nfeeder");
        Assertions.assertThat(Browser.violations(teacher)).isEmpty();
        teacher.click(".card-form .action-main");
        assertThat(card(1)).containsText("veil = covers");
        assertThat(tally(teacher)).containsText("keys 1 of 1");
        teacher.locator("body").press("z");
        assertThat(card(1)).containsText("viel = covers");
    }

    @Test
    void aQuestionIsSplitAtOneOfItsLines(Address app) {
        drop(
                app,
                "Combs joined.txt",
                "Combs joined\n\n1. Explain who builds the combs in spring\nand say who cleans the cells.\n2. Who dances?\n");
        card(1).locator(".question-card-stem").click();
        card(1).locator("[data-more]").click();
        teacher.click("[data-open=split]");
        Locator line = teacher.locator(".split-line:has-text('who cleans')");
        assertThat(line).isVisible();
        Assertions.assertThat(Browser.violations(teacher)).isEmpty();
        line.click();
        assertThat(tally(teacher)).containsText("3 questions");
        assertThat(teacher.locator("[data-panel]")).isHidden();
        teacher.locator("body").press("z");
        assertThat(tally(teacher)).containsText("2 questions");
    }

    @Test
    void aTableOfTheSourceStandsAsATable(Address app) {
        drop(
                app,
                "Combs table.csv",
                "Question,Option A,Option B,Right\nWho builds?,workers,drones,A\nWho dances?,queens,foragers,B\n");
        Locator row = teacher.locator(".sheet-row").nth(1);
        assertThat(row.locator(".sheet-cell")).hasCount(4);
        assertThat(row.locator(".sheet-cell").nth(2)).containsText("drones");
        row.locator(".sheet-line:has-text('workers')").click();
        assertThat(card(1)).hasClass(java.util.regex.Pattern.compile(".*is-focused.*"));
    }

    private void change(String what, String value) {
        teacher.selectOption("[name=change]", what);
        teacher.fill("[data-for~='" + what + "']", value);
        teacher.click(".many .action-main");
    }

    @Test
    void aSnagIsDismissedWithItsReason(Address app) {
        drop(app, "Combs gap.txt", "Combs gap\n\n1. Who builds?\nA. workers\nB. drones\nD. queens\n");
        Locator snag = card(1).locator(".snag:has([name=reason])").first();
        snag.locator(".dismiss").hover();
        snag.locator("[name=reason]").fill("C was struck out on purpose");
        snag.locator("[name=reason]").press("Enter");
        assertThat(card(1).locator(".snag:has([name=reason])")).hasCount(0);
        teacher.click("[data-history]");
        assertThat(teacher.locator("[data-panel]")).containsText("C was struck out on purpose");
        teacher.keyboard().press("Escape");
    }

    @Test
    void aPictureIsAddedDescribedCutMovedAndTakenOut(Address app) throws IOException {
        drop(app, "Combs two.txt", questions("Combs two", 2, ""));
        pictures(1);
        teacher.setInputFiles("#file-new", new FilePayload("comb.png", "image/png", picture(200, 100)));
        assertThat(card(1).locator("img")).hasJSProperty("naturalWidth", 200);
        pictures(1);
        Assertions.assertThat(Browser.violations(teacher)).isEmpty();
        teacher.fill("[name=alternative]", "an empty comb");
        teacher.keyboard().press("Enter");
        assertThat(card(1).locator("img")).hasAttribute("alt", "an empty comb");
        pictures(1);
        BoundingBox box = teacher.locator("[data-crop]").boundingBox();
        teacher.mouse().move(box.x + box.width / 2, box.y + 1);
        teacher.mouse().down();
        teacher.mouse().move(box.x + box.width - 1, box.y + box.height - 1);
        teacher.mouse().up();
        assertThat(teacher.locator("[name=left]")).hasValue("50");
        teacher.locator("[data-crop-form] button").click();
        assertThat(card(1).locator("img")).hasJSProperty("naturalWidth", 100);
        pictures(1);
        teacher.selectOption("[name=toPart]", "option B");
        teacher.locator(".picture-forms button:text-is('Move within')").click();
        assertThat(card(1).locator(".question-card-option").nth(1).locator("img"))
                .hasAttribute("alt", "an empty comb");
        pictures(1);
        assertThat(teacher.locator(".picture-where")).hasText("in option B");
        Assertions.assertThat(Browser.violations(teacher)).isEmpty();
        teacher.locator(".picture-forms button:text-is('Move')").click();
        assertThat(card(2).locator("img")).hasAttribute("alt", "an empty comb");
        assertThat(card(1).locator("img")).hasCount(0);
        pictures(2);
        teacher.setInputFiles("#file-0", new FilePayload("note.png", "image/png", "no picture".getBytes()));
        assertThat(tally(teacher)).containsText("note.png is of a kind that can't be read here");
        pictures(2);
        teacher.click("text=Take it out");
        assertThat(card(2).locator("img")).hasCount(0);
        pictures(2);
        teacher.selectOption("#part-new", "option C");
        teacher.setInputFiles("#file-new", new FilePayload("cell.png", "image/png", picture(40, 40)));
        assertThat(card(2).locator(".question-card-option").nth(2).locator("img"))
                .hasJSProperty("naturalWidth", 40);
    }

    private void pictures(int place) {
        card(place).click();
        card(place).locator("[data-more]").click();
        teacher.click("[data-open=pictures]");
        assertThat(teacher.locator("[data-panel]")).isVisible();
    }

    private static byte[] picture(int width, int height) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB), "png", out);
        return out.toByteArray();
    }

    @Test
    void aFormulaAndBoldWordsAreShownWhileTyped(Address app) {
        drop(app, "Combs area.txt", questions("Combs area", 1, ""));
        card(1).click();
        teacher.keyboard().press("e");
        teacher.fill("[name=stem]", "What is \\(\\frac{a}{b}\\), **not** rounded?");
        assertThat(teacher.locator("[data-formula-view] mfrac")).isVisible();
        assertThat(teacher.locator("[data-formula-view] b, [data-formula-view] strong"))
                .hasText("not");
        card(1).getByText("Keep", new Locator.GetByTextOptions().setExact(true)).click();
        assertThat(card(1).locator(".question-card-stem mfrac")).isVisible();
        assertThat(card(1).locator(".question-card-stem")).containsText("not");
    }

    @Test
    void twoPeopleSeeEachOtherAndNoneIsOverwrittenSilently(Address app) {
        drop(app, "Combs shared.txt", questions("Combs shared", 3, ""));
        String address = teacher.url();
        teacher.click("[data-share]");
        teacher.fill("#share-mail", "otto@wrenfield.example");
        teacher.keyboard().press("Enter");
        String link = teacher.locator("#sharing code").textContent();
        Page other = browser.page(1280, 800);
        other.navigate(address);
        other.navigate(link);
        other.fill("#name", "Otto Lind");
        other.fill("#password", "keeping-bees");
        other.click("text=Make the account");
        signIn(app, other, "otto@wrenfield.example");
        other.navigate(address);
        whole(other);
        teacher.navigate(address);
        whole(teacher);
        card(1).click();
        teacher.keyboard().press("e");
        card(1).locator("[data-option-add]").click();
        teacher.keyboard().type("none");
        other.locator(".question-card").nth(1).click();
        other.keyboard().press("2");
        assertThat(tally(teacher)).containsText("Otto Lind, elsewhere: key set.");
        teacher.keyboard().type(" of them");
        assertThat(card(1).locator("[name=option]").last()).hasValue("none of them");
        assertThat(tally(teacher)).containsText("keys 1 of 3");
        other.locator(".question-card").nth(0).click();
        other.keyboard().press("e");
        other.fill("[name=stem]", "How many cells, thinks Otto?");
        other.click(".card-form button.action-main");
        teacher.fill("[name=stem]", "How many cells, thinks Ines?");
        teacher.click(".card-form button.action-main");
        assertThat(card(1)).containsText("Somebody changed this question while you typed");
        assertThat(card(1)).containsText("thinks Otto?");
        assertThat(teacher.locator("[name=stem]")).hasValue("How many cells, thinks Ines?");
        teacher.click(".card-form button.action-main");
        assertThat(card(1).locator(".question-card-stem")).hasText("How many cells, thinks Ines?");
        assertThat(other.locator(".question-card-stem").first()).hasText("How many cells, thinks Ines?");
        other.navigate(link);
        assertThat(other.locator("main")).containsText("This link has served already");
        other.close();
    }

    @Test
    void whatIsDoneWithoutAConnectionIsSentWhenItIsBack(Address app) {
        drop(app, "Combs far.txt", questions("Combs far", 3, ""));
        teacher.context().setOffline(true);
        card(1).click();
        teacher.keyboard().press("1");
        assertThat(teacher.locator("[data-offline]")).isVisible();
        card(2).click();
        teacher.keyboard().press("2");
        assertThat(tally(teacher)).containsText("keys 0 of 3");
        teacher.context().setOffline(false);
        assertThat(tally(teacher)).containsText("keys 2 of 3");
        assertThat(teacher.locator("[data-offline]")).isHidden();
        assertThat(card(2).locator(".is-key")).hasText(Pattern.compile("B\\s*202"));
    }

    @Test
    void aDraftIsWrittenFromATextAndReadLikeAnyOther(Address app) {
        teacher.navigate(app.url("/"));
        teacher.click("text=questions drafted from a text");
        teacher.fill("#passage", "Bees dance.");
        teacher.click("text=Draft them");
        assertThat(teacher.locator(".fault")).containsText("says too little");
        assertThat(teacher.locator("#passage")).hasValue("Bees dance.");
        teacher.fill(
                "#passage",
                "A smoker calms the bees before an inspection. The keeper opens the hive from behind. Frames are lifted"
                        + " slowly and held above the hive. A frame of brood weighs about 2 kilograms in summer.");
        teacher.fill("#questions", "3");
        Assertions.assertThat(Browser.violations(teacher)).isEmpty();
        teacher.click("text=Draft them");
        Locator row = teacher.locator(".leaf-row:has-text('Drafted, check')").first();
        row.getByText("Review").click();
        whole(teacher);
        assertThat(tally(teacher)).containsText("keys 3 of 3");
        assertThat(teacher.locator(".questions-passage")).containsText("A smoker calms the bees");
    }
}
