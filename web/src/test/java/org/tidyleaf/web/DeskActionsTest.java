package org.tidyleaf.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestInstance.Lifecycle;
import org.junit.jupiter.api.extension.ExtendWith;
import org.tidyleaf.web.RunningApplication.Address;

/** How few actions it takes, by mouse and by keyboard. */
@ExtendWith(RunningApplication.class)
@TestInstance(Lifecycle.PER_CLASS)
class DeskActionsTest {

    private static final int MOST_ACTIONS = 6;
    private static final Pattern FOCUSED = Pattern.compile(".*is-focused.*");

    private Desk desk;
    private Page teacher;

    @BeforeAll
    void signIn(Address app) {
        desk = new Desk(app, "Ines Marsh", "isla@wrenfield.example");
        teacher = desk.page();
    }

    @AfterAll
    void close() {
        desk.close();
    }

    @Test
    void aTestWithoutKeysIsPublishableInFewActions() {
        int actions = 2;
        desk.drop("Combs 25.txt", Desk.questions("Combs 25", 25, ""));
        assertThat(desk.tally()).containsText("keys 0 of 25");
        desk.tally().locator("summary").first().click();
        actions++;
        teacher.fill("#key-line", "ABCABCABCABCABCABCABCABCA");
        teacher.keyboard().press("Enter");
        actions++;
        assertThat(desk.tally()).containsText("keys 25 of 25");
        teacher.click("text=Publish");
        actions++;
        assertThat(teacher.locator("main")).not().containsText("Without a key");
        assertThat(teacher.locator("main button.action-main").first()).isEnabled();
        Assertions.assertThat(actions).isLessThanOrEqualTo(MOST_ACTIONS);
    }

    @Test
    void anUnknownAnswerWordIsMendedByOnePin() {
        desk.drop("Combs 12.txt", Desk.questions("Combs 12", 12, "Proof-mark: b"));
        assertThat(desk.tally()).containsText("keys 0 of 12");
        teacher.locator(".sheet-line:has-text('Proof-mark')").first().click();
        teacher.keyboard().press("k");
        assertThat(desk.tally()).containsText("keys 12 of 12");
        assertThat(desk.tally()).containsText("11 more lines read differently");
        desk.tally().locator(".notice summary").click();
        assertThat(desk.tally().locator("[data-show-line]")).hasCount(11);
        teacher.keyboard().press("z");
        assertThat(desk.tally()).containsText("keys 0 of 12");
    }

    /** The main actions without a mouse: what has focus is what the page itself gave it. */
    @Test
    void theDeskIsWorkedByKeyboardAlone() {
        desk.drop("Combs keys.txt", Desk.questions("Combs keys", 4, ""));
        desk.press("j");
        teacher.keyboard().press("2");
        assertThat(desk.tally()).containsText("keys 1 of 4");
        assertThat(desk.card(2).locator(".is-key")).hasText(Pattern.compile("B\\s*202"));
        teacher.keyboard().press("e");
        assertThat(desk.card(2).locator("[name=stem]")).isFocused();
        teacher.keyboard().press("Control+End");
        teacher.keyboard().type(" Count them.");
        for (int i = 0; i < 40 && !"Keep".equals(desk.focusedText()); i++) {
            teacher.keyboard().press("Tab");
        }
        teacher.keyboard().press("Enter");
        assertThat(desk.card(2).locator(".question-card-stem")).containsText("Count them.");
        // The menu opens with its first entry in focus, and arrows go through it.
        desk.card(2).locator("[data-more]").focus();
        teacher.keyboard().press("Enter");
        for (int i = 0; i < 20 && !"Copy".equals(desk.focusedText()); i++) {
            teacher.keyboard().press("ArrowDown");
        }
        teacher.keyboard().press("Enter");
        assertThat(desk.tally()).containsText("5 questions");
        desk.press("z");
        assertThat(desk.tally()).containsText("4 questions");
        teacher.keyboard().press("y");
        assertThat(desk.tally()).containsText("5 questions");
        teacher.keyboard().press("z");
        // Lines are chosen with the arrows, more of them with shift.
        teacher.locator("[data-sheet]").focus();
        teacher.keyboard().press("ArrowDown");
        teacher.keyboard().press("ArrowDown");
        teacher.keyboard().press("Shift+ArrowDown");
        assertThat(teacher.locator("[data-brush-words]")).containsText("2 lines");
        teacher.keyboard().press("x");
        assertThat(desk.tally()).containsText("2 lines set aside");
        teacher.keyboard().press("z");
        assertThat(desk.tally()).containsText("0 lines set aside");
        teacher.keyboard().press("?");
        assertThat(teacher.locator("[data-shortcuts]")).isVisible();
        Assertions.assertThat(desk.violations()).isEmpty();
        teacher.keyboard().press("Escape");
        assertThat(teacher.locator("[data-shortcuts]")).isHidden();
        teacher.keyboard().press("n");
        assertThat(teacher.locator(".question-card.is-focused [data-snag]").first())
                .isVisible();
    }

    @Test
    void severalQuestionsAreChangedAtOnce() {
        desk.drop("Combs 6.txt", Desk.questions("Combs 6", 6, ""));
        desk.card(1).click();
        teacher.keyboard().press("v");
        desk.card(3)
                .locator("[data-choose]")
                .click(new Locator.ClickOptions()
                        .setModifiers(java.util.List.of(com.microsoft.playwright.options.KeyboardModifier.SHIFT)));
        assertThat(teacher.locator("[data-many-count]")).hasText("3");
        change("TOPIC", "Comb building");
        assertThat(teacher.locator(".question-card:has-text('Topic: Comb building')"))
                .hasCount(3);
        Assertions.assertThat(desk.violations()).isEmpty();
        change("POINTS", "2");
        assertThat(desk.tally()).containsText("9 points");
        teacher.click("[data-many-all]");
        assertThat(teacher.locator("[data-many-count]")).hasText("6");
        teacher.selectOption("[name=change]", "TYPE");
        teacher.selectOption("[data-for=TYPE]", "multiple-choice");
        teacher.click(".many .action-main");
        assertThat(desk.card(6)).containsText("several right answers");
        change("LABEL", "asked in May");
        assertThat(teacher.locator(".question-card:has-text('asked in May')")).hasCount(6);
        choose("REQUIRED", "true");
        choose("ORDER", "KEPT");
        choose("PARTIAL", "EACH_RIGHT");
        assertThat(desk.card(6)).containsText("Must be answered");
        assertThat(desk.card(6)).containsText("Options never shuffled");
        assertThat(desk.card(6)).containsText("Marks: a share for each right part");
        change("WORDS", "60-80");
        assertThat(desk.card(6)).containsText("Length:");
        change("NEW_SECTION", "Building");
        assertThat(teacher.locator(".questions-section")).hasText("Building");
        teacher.click("[data-many-none]");
        desk.card(6).locator("[data-choose]").click();
        teacher.selectOption("[name=change]", "DELETE");
        teacher.click(".many .action-main");
        assertThat(desk.tally()).containsText("5 questions");
        desk.press("z");
        assertThat(desk.tally()).containsText("6 questions");
    }

    private void choose(String what, String value) {
        teacher.selectOption("[name=change]", what);
        teacher.selectOption("[data-for=" + what + "]", value);
        teacher.click(".many .action-main");
    }

    private void change(String what, String value) {
        teacher.selectOption("[name=change]", what);
        teacher.fill("[data-for~='" + what + "']", value);
        teacher.click(".many .action-main");
    }

    @Test
    void aSnagIsDismissedWithItsReason() {
        desk.drop("Combs gap.txt", "Combs gap\n\n1. Who builds?\nA. workers\nB. drones\nD. queens\n");
        Locator snag = desk.card(1).locator(".snag:has([name=reason])").first();
        snag.locator(".dismiss").hover();
        snag.locator("[name=reason]").fill("C was struck out on purpose");
        snag.locator("[name=reason]").press("Enter");
        assertThat(desk.card(1).locator(".snag:has([name=reason])")).hasCount(0);
        teacher.click("[data-history]");
        assertThat(teacher.locator("[data-panel]")).containsText("C was struck out on purpose");
        teacher.keyboard().press("Escape");
    }

    @Test
    void aTableOfTheSourceStandsAsATable() {
        desk.drop(
                "Combs table.csv",
                "Question,Option A,Option B,Right\nWho builds?,workers,drones,A\nWho dances?,queens,foragers,B\n");
        Locator row = teacher.locator(".sheet-row").nth(1);
        assertThat(row.locator(".sheet-cell")).hasCount(4);
        assertThat(row.locator(".sheet-cell").nth(2)).containsText("drones");
        row.locator(".sheet-line:has-text('workers')").click();
        assertThat(desk.card(1)).hasClass(FOCUSED);
    }

    @Test
    void wordsOfALineAreChosenByKeyboardAndByMouse() {
        desk.drop("Combs one.txt", "Combs one\n\n1. Which comb is drawn first? Prf.: b\na) any\nb) the middle one\n");
        assertThat(desk.tally()).containsText("keys 0 of 1");
        teacher.locator("#line-2").click();
        teacher.keyboard().press("w");
        assertThat(teacher.locator(".line-word").first()).isFocused();
        for (int i = 0; i < 6; i++) {
            teacher.keyboard().press("ArrowRight");
        }
        teacher.keyboard().press("Shift+ArrowRight");
        Assertions.assertThat(desk.violations()).isEmpty();
        teacher.keyboard().press("k");
        assertThat(desk.tally()).containsText("keys 1 of 1");
        assertThat(desk.card(1).locator(".question-card-stem")).hasText("Which comb is drawn first?");
        teacher.keyboard().press("z");
        assertThat(desk.tally()).containsText("keys 0 of 1");
        teacher.locator("#line-2").dblclick();
        teacher.locator(".line-word").nth(6).click();
        teacher.locator(".line-word").nth(7).click();
        teacher.click("[data-role=KEY]");
        assertThat(desk.tally()).containsText("keys 1 of 1");
        assertThat(teacher.locator(".pinned-words")).hasText("Prf.: b");
    }

    @Test
    void keysAreSetOneAfterTheOther() {
        desk.drop("Combs round.txt", """
                Combs round

                1. Which bee lays the eggs?
                A. worker
                B. queen
                2. Drones gather nectar. True / False
                3. Combs are made of ____.
                4. Which of these are in a hive? Choose all that apply.
                A. brood
                B. petrol
                C. honey
                5. Who guards the entrance?
                A. workers
                B. drones
                """);
        desk.press("q");
        assertThat(teacher.locator("[data-keying]")).containsText("5 questions without a key. Press A to B");
        Assertions.assertThat(desk.violations()).isEmpty();
        teacher.keyboard().press("b");
        assertThat(desk.tally()).containsText("keys 1 of 5");
        assertThat(desk.card(2)).hasClass(FOCUSED);
        teacher.keyboard().press("f");
        assertThat(desk.card(3)).hasClass(FOCUSED);
        assertThat(desk.card(2).locator(".is-key")).containsText("False");
        teacher.keyboard().press("Enter");
        assertThat(desk.card(3).locator("[name=answer]")).isFocused();
        teacher.keyboard().type("wax");
        teacher.keyboard().press("Control+Enter");
        assertThat(desk.card(4)).hasClass(FOCUSED);
        teacher.keyboard().press("a");
        assertThat(desk.tally()).containsText("keys 4 of 5");
        teacher.keyboard().press("3");
        assertThat(desk.card(4).locator(".is-key")).hasCount(2);
        teacher.keyboard().press("Enter");
        assertThat(desk.card(5)).hasClass(FOCUSED);
        teacher.keyboard().press("1");
        assertThat(teacher.locator("[data-keying]")).containsText("Every question has its key.");
        teacher.keyboard().press("Escape");
        assertThat(teacher.locator("[data-keying]")).isHidden();
        assertThat(desk.tally()).containsText("keys 5 of 5");
    }

    @Test
    void linesAreSweptWithTheMouse() {
        desk.drop("Combs swept.txt", """
                Combs swept

                Swarming begins in May.
                The old queen leaves with half the colony.
                Who leaves?
                the queen
                the drones
                Because she swarms.
                """);
        sweep(2, 3);
        teacher.click("[data-role=STIMULUS]");
        assertThat(desk.tally()).containsText("2 lines read as passage.");
        sweep(4, 4);
        teacher.click("[data-role=STEM]");
        assertThat(desk.tally()).containsText("Line 4 read as question.");
        sweep(5, 6);
        teacher.click("[data-role=OPTION]");
        // What the lines become moves them, so the next are drawn over only when the answer is there.
        assertThat(desk.tally()).containsText("2 lines read as option.");
        assertThat(desk.card(1).locator(".question-card-option").nth(1)).containsText("the drones");
        sweep(7, 7);
        teacher.click("[data-more-roles]");
        teacher.click("[data-role=FEEDBACK]");
        assertThat(teacher.locator(".questions-passage"))
                .hasText(Pattern.compile("Swarming begins in May[.]\\s*The old queen leaves with half the colony[.]"));
        assertThat(desk.card(1)).containsText("Explanation: Because she swarms.");
        assertThat(desk.tally()).containsText("all 7 lines accounted for");
        assertThat(desk.tally()).containsText("0 lines set aside");
    }

    /** Draws over lines, from the first to the last. */
    private void sweep(int from, int to) {
        BoundingBox first = teacher.locator("#line-" + from + " .sheet-text").boundingBox();
        BoundingBox last = teacher.locator("#line-" + to + " .sheet-text").boundingBox();
        teacher.mouse().move(first.x + 30, first.y + first.height / 2);
        teacher.mouse().down();
        teacher.mouse().move(last.x + 30, last.y + last.height / 2, new Mouse.MoveOptions().setSteps(4));
        teacher.mouse().up();
        assertThat(teacher.locator(".is-swept")).hasCount(to - from + 1);
    }

    @Test
    void theSpineLeadsToAnyPlace() {
        desk.drop("Combs long.txt", Desk.questions("Combs long", 40, ""));
        BoundingBox spine = teacher.locator("[data-spine]").boundingBox();
        teacher.mouse().click(spine.x + spine.width / 2, spine.y + spine.height * 0.98);
        assertThat(teacher.locator("#line-155")).isInViewport();
        assertThat(teacher.locator("#line-2")).not().isInViewport();
        teacher.mouse().move(spine.x + spine.width / 2, spine.y + spine.height * 0.98);
        teacher.mouse().down();
        teacher.mouse().move(spine.x + spine.width / 2, spine.y + 3);
        teacher.mouse().up();
        assertThat(teacher.locator("#line-2")).isInViewport();
        teacher.locator("#line-9").click();
        assertThat(desk.card(2)).hasClass(FOCUSED);
    }
}
