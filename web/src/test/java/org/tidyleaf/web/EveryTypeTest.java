package org.tidyleaf.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestInstance.Lifecycle;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.tidyleaf.exchange.Paper;
import org.tidyleaf.exchange.StarterDocument;
import org.tidyleaf.marking.Marker;
import org.tidyleaf.marking.Response;
import org.tidyleaf.marking.SampleResponses;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.QuestionType;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.web.RunningApplication.Address;
import org.tidyleaf.web.account.AccountService;
import org.tidyleaf.web.leaf.LeafService;

/**
 * All thirteen types of question, answered right, wrong and partly, by mouse and by keyboard, in the proof and in a
 * sitting; points and verdicts are looked at on the page.
 */
@ExtendWith(RunningApplication.class)
@TestInstance(Lifecycle.PER_CLASS)
class EveryTypeTest {

    private final Browser browser = new Browser();
    private final Page teacher = browser.page(1280, 900);
    private UUID leaf = new UUID(0, 0);
    private List<Question> questions = List.of();
    private String link = "";

    @BeforeAll
    void publish(Address app) throws IOException {
        UUID owner = app.bean(AccountService.class).make("Mira Holt", "mira@wrenfield.example", "keeping-bees");
        ByteArrayOutputStream starter = new ByteArrayOutputStream();
        StarterDocument.write(Paper.DOCX, starter);
        LeafService leaves = app.bean(LeafService.class);
        leaf = leaves.add(owner, "starter.docx", starter.toByteArray());
        leaves.begin(leaf);
        leaves.read(leaf);
        Quiz quiz = leaves.open(owner, leaf).tidied().quiz();
        questions = quiz.questions();
        teacher.navigate(app.url("/"));
        teacher.fill("#username", "mira@wrenfield.example");
        teacher.fill("#password", "keeping-bees");
        teacher.click("button:has-text('Sign in')");
        teacher.navigate(app.url("/leaf/" + leaf + "/publish"));
        teacher.click("text=Publish and open a sitting by link");
        link = teacher.locator(".link-box code").textContent();
    }

    @AfterAll
    void close() {
        browser.close();
    }

    @Test
    void theStarterHoldsEveryType() {
        Set<QuestionType> types = EnumSet.noneOf(QuestionType.class);
        questions.forEach(question -> types.add(question.type()));
        Assertions.assertThat(types).isEqualTo(EnumSet.allOf(QuestionType.class));
    }

    @ParameterizedTest
    @CsvSource({
        "RIGHT, MOUSE, PROOF",
        "WRONG, KEYBOARD, PROOF",
        "PARTLY, MOUSE, PROOF",
        "RIGHT, KEYBOARD, SITTING",
        "WRONG, MOUSE, SITTING",
        "PARTLY, KEYBOARD, SITTING"
    })
    void isAnsweredAndMarked(Goodness goodness, Hand hand, Place place, Address app) {
        Page page = place == Place.PROOF ? teacher : browser.page(390, 844);
        page.navigate(place == Place.PROOF ? app.url("/leaf/" + leaf + "/proof") : link);
        if (place == Place.SITTING) {
            page.fill("#candidate", goodness + " " + hand);
            page.click("button:has-text('Begin')");
        }
        List<Response> responses =
                questions.stream().map(question -> response(question, goodness)).toList();
        for (int i = 0; i < questions.size(); i++) {
            Locator card = page.locator("#answer-card-" + questions.get(i).id());
            answer(page, card, questions.get(i), responses.get(i), hand);
        }
        Assertions.assertThat(Browser.violations(page)).isEmpty();
        if (place == Place.PROOF) {
            page.click("text=Mark it");
        } else {
            assertThat(page.locator("#saved")).hasText("Saved");
            page.reload();
            page.click("[data-check]");
            page.click("text=Hand in now");
        }
        for (int i = 0; i < questions.size(); i++) {
            Locator marked = page.locator(".marked").nth(i);
            assertThat(marked.locator(".answer-card-line b")).hasText(verdict(questions.get(i), goodness, place));
            assertThat(marked.locator(".answer-card-line")).containsText(points(questions.get(i), responses.get(i)));
        }
        Assertions.assertThat(Browser.violations(page)).isEmpty();
        Assertions.assertThat(browser.complaints()).isEmpty();
        if (place == Place.SITTING) {
            page.close();
        }
    }

    private enum Goodness {
        RIGHT,
        WRONG,
        PARTLY
    }

    private enum Hand {
        MOUSE,
        KEYBOARD
    }

    private enum Place {
        PROOF,
        SITTING
    }

    private static boolean isParted(Question question) {
        return switch (question.type()) {
            case MATCH, ORDER, GRID, GAP_MATCH, TABLE_ENTRY, HOTTEXT, PICTURE_LABEL -> true;
            default -> false;
        };
    }

    private static String verdict(Question question, Goodness goodness, Place place) {
        if (question.type() == QuestionType.EXTENDED_TEXT) {
            return place == Place.PROOF ? "you mark this" : "still to be marked";
        }
        if (goodness == Goodness.PARTLY && isParted(question)) {
            return "partly right";
        }
        return goodness == Goodness.RIGHT ? "right" : "not right";
    }

    private static String points(Question question, Response response) {
        String most = Marker.most(question).stripTrailingZeros().toPlainString();
        String earned = Marker.mark(question, response)
                .earned()
                .map(BigDecimal::stripTrailingZeros)
                .map(BigDecimal::toPlainString)
                .orElse("\u2013");
        return earned + " of " + most;
    }

    /** Partly: right in the first part, wrong in the others; where there is but one part, wrong. */
    private static Response response(Question question, Goodness goodness) {
        Response right = SampleResponses.right(question);
        if (goodness == Goodness.RIGHT || question.type() == QuestionType.EXTENDED_TEXT) {
            return right;
        }
        int kept = goodness == Goodness.PARTLY && isParted(question) ? 1 : 0;
        if (question instanceof ChoiceQuestion choice) {
            Set<Integer> others = new java.util.TreeSet<>(
                    IntStream.range(0, choice.options().size()).boxed().toList());
            others.removeAll(choice.key());
            boolean some = choice.takesSeveral() && goodness == Goodness.PARTLY;
            return new Response(Set.of((some ? choice.key() : others).iterator().next()), List.of());
        }
        if (question.type() == QuestionType.HOTTEXT) {
            Integer first = right.chosen().iterator().next();
            return new Response(Set.of(kept == 1 ? first : first + 1), List.of());
        }
        List<String> entered = new ArrayList<>();
        List<String> all = right.entered();
        for (int i = 0; i < all.size(); i++) {
            entered.add(i < kept ? all.get(i) : wrong(question, all, i, kept));
        }
        return new Response(Set.of(), entered);
    }

    /** The next part's right answer, or for what is typed some other word. */
    private static String wrong(Question question, List<String> right, int at, int kept) {
        return switch (question.type()) {
            case MATCH, ORDER, GRID -> {
                String next = right.get(kept + (at - kept + 1) % (right.size() - kept));
                yield next.equals(right.get(at)) ? right.get(0) : next;
            }
            case GAP_MATCH -> "water";
            case NUMERIC_ENTRY -> "77";
            default -> "zzz";
        };
    }

    private static void answer(Page page, Locator card, Question question, Response response, Hand hand) {
        for (int place : response.chosen()) {
            String named = "input[name^='chosen:'][value='" + place + "']";
            Locator box = card.locator(named);
            if (hand == Hand.KEYBOARD) {
                box.focus();
                page.keyboard().press("Space");
            } else {
                card.locator("label:has(" + named + ")").click();
            }
        }
        List<String> entered = response.entered();
        if (question.type() == QuestionType.ORDER) {
            order(page, card, entered, hand);
            return;
        }
        for (int i = 0; i < entered.size(); i++) {
            if (question.type() == QuestionType.GRID) {
                Locator cell = card.locator("input[name$=':" + i + "'][value='" + entered.get(i) + "']");
                if (hand == Hand.KEYBOARD) {
                    cell.focus();
                    page.keyboard().press("Space");
                } else {
                    cell.click();
                }
            } else if (question.type() == QuestionType.MATCH || question.type() == QuestionType.GAP_MATCH) {
                choose(page, card, i, entered.get(i), hand);
            } else {
                Locator field =
                        card.locator("input:not([type=checkbox]), textarea").nth(i);
                field.focus();
                page.keyboard().type(entered.get(i));
            }
        }
    }

    /** By mouse the chip is dragged to the first place and pressed for all further ones. */
    private static void choose(Page page, Locator card, int at, String value, Hand hand) {
        Locator place = card.locator("select").nth(at);
        Locator chip = card.locator(".word-chip[data-value='" + value + "']");
        if (hand == Hand.KEYBOARD) {
            chip.focus();
            page.keyboard().press("Enter");
            place.focus();
            page.keyboard().press("Enter");
        } else if (at == 0) {
            place.scrollIntoViewIfNeeded();
            chip.hover();
            page.mouse().down();
            BoundingBox box = place.boundingBox();
            page.mouse()
                    .move(
                            box.x + box.width / 2,
                            box.y + box.height / 2,
                            new com.microsoft.playwright.Mouse.MoveOptions().setSteps(4));
            page.mouse().up();
        } else {
            chip.click();
            place.click();
        }
        assertThat(place).hasValue(value);
    }

    /** Brings the item of each place there from below, first place first. */
    private static void order(Page page, Locator card, List<String> places, Hand hand) {
        for (int at = 0; at < places.size(); at++) {
            int item = places.indexOf(String.valueOf(at));
            Locator row = card.locator("[data-part]:has(select[name$=':" + item + "'])");
            Locator target = card.locator("[data-part]").nth(at);
            if (hand == Hand.KEYBOARD) {
                row.locator("[data-by='-1']").focus();
                for (int steps = position(card, row); steps > at; steps--) {
                    page.keyboard().press("Enter");
                }
            } else if (position(card, row) != at) {
                row.scrollIntoViewIfNeeded();
                row.locator("label").hover();
                page.mouse().down();
                BoundingBox box = target.boundingBox();
                page.mouse().move(box.x + 20, box.y + 5, new com.microsoft.playwright.Mouse.MoveOptions().setSteps(6));
                page.mouse().up();
            }
        }
        Locator last = card.locator("[data-by='1']").last();
        if (card.locator("select").first().inputValue().isEmpty()) {
            last.focus();
            page.keyboard().press("Enter");
        }
    }

    private static int position(Locator card, Locator row) {
        String name = row.locator("select").getAttribute("name");
        List<Object> names = new ArrayList<>();
        for (Locator select : card.locator("select").all()) {
            names.add(select.getAttribute("name"));
        }
        return names.indexOf(name);
    }
}
