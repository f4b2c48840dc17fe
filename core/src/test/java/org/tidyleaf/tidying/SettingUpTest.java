package org.tidyleaf.tidying;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.tidyleaf.exchange.StoredJson;
import org.tidyleaf.intake.Intake;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.OptionOrder;
import org.tidyleaf.question.PartialMarks;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.question.Settings;
import org.tidyleaf.question.WordLimits;
import org.tidyleaf.source.Source;

/** Settings, sections and pictures of questions. */
class SettingUpTest {

    private static final String TEST = """
            Part A: Dances
            1. Who dances?
            A. workers *
            B. drones
            Topic: Dances
            Difficulty: easy
            2. Who follows?
            A. workers *
            B. drones
            Topic: Dances
            Part B: Stings
            3. Who stings?
            A. workers *
            B. drones
            Topic: Stings
            """;

    private static Tidied after(Decision... decisions) {
        try {
            Source source = new Intake().read("bees.txt", TEST.getBytes(StandardCharsets.UTF_8));
            return Tidying.apply(source, new Decisions(List.of(decisions)));
        } catch (IntakeException impossible) {
            throw new AssertionError(impossible);
        }
    }

    private static String id(int place) {
        return after().quiz().questions().get(place).id();
    }

    private static List<String> pictures(Tidied tidied, int place) {
        return tidied.quiz().questions().get(place).particulars().stem().pictures().stream()
                .map(Inline.Picture::figure)
                .toList();
    }

    @Test
    void notesOfTheAuthorStayWithTheirQuestion() {
        List<Settings> settings = after().quiz().questions().stream()
                .map(question -> question.particulars().settings())
                .toList();
        assertThat(settings).extracting(Settings::topic).containsExactly("Dances", "Dances", "Stings");
        assertThat(settings.get(0).labels()).containsExactly("Difficulty: easy");
        assertThat(settings.get(1).labels()).isEmpty();
    }

    /** Where the notes stand above their questions, the last question has none below it. */
    @Test
    void notesAboveBelongToTheQuestionBelow() throws IntakeException {
        String above =
                "Topic: Dances\n1. Who dances?\nA. workers\nB. drones\nTopic: Stings\n2. Who stings?\nA. workers\nB. drones\n";
        Source source = new Intake().read("bees.txt", above.getBytes(StandardCharsets.UTF_8));
        assertThat(Tidying.apply(source, new Decisions(List.of())).quiz().questions())
                .extracting(question -> question.particulars().settings().topic())
                .containsExactly("Dances", "Stings");
    }

    @Test
    void settingsAreSetAndTakenBack() {
        Settings all = new Settings(
                "Hive",
                List.of("for June"),
                true,
                OptionOrder.KEPT,
                Optional.of(PartialMarks.LESS_WRONG),
                new WordLimits(0, 80));
        Decision set = new Decision.SetUp(id(1), all);
        assertThat(after(set).quiz().questions().get(1).particulars().settings())
                .isEqualTo(all);
        assertThat(after(set, new Decision.Undo()).quiz()).isEqualTo(after().quiz());
    }

    @Test
    void aSectionMadeByHandStandsBehindTheOthersWithItsQuestions() {
        Decision add = new Decision.AddSection("Extra", List.of(id(0), id(1)));
        Quiz quiz = after(add).quiz();
        int last = quiz.sections().size() - 1;
        assertThat(quiz.sections().get(last).title()).isEqualTo("Extra");
        assertThat(quiz.questions())
                .filteredOn(question -> question.particulars().section() == last)
                .extracting(Question::id)
                .containsExactly(id(0), id(1));
        assertThat(after(add, new Decision.Undo()).quiz()).isEqualTo(after().quiz());
    }

    @Test
    void aQuestionGoesToTheEndOfItsNewSection() {
        Quiz quiz = after(new Decision.Assign(id(0), 1)).quiz();
        assertThat(quiz.questions()).extracting(Question::id).containsExactly(id(1), id(2), id(0));
        assertThat(quiz.questions().get(2).particulars().section()).isEqualTo(1);
        Quiz back = after(new Decision.Assign(id(2), 0)).quiz();
        assertThat(back.questions()).extracting(Question::id).containsExactly(id(0), id(1), id(2));
        assertThat(back.questions().get(2).particulars().section()).isZero();
        assertThat(after(new Decision.Assign(id(0), 7)).quiz()).isEqualTo(after().quiz());
    }

    @Test
    void picturesAreAddedReplacedMovedAndTakenOut() {
        Decision one = new Decision.SetPicture(id(0), 0, 0, "p1", "a comb");
        Decision two = new Decision.SetPicture(id(0), 0, 1, "p2", "");
        assertThat(pictures(after(one, two), 0)).containsExactly("p1", "p2");
        Decision replaced = new Decision.SetPicture(id(0), 0, 0, "p3", "a full comb");
        assertThat(pictures(after(one, two, replaced), 0)).containsExactly("p3", "p2");
        Decision moved = new Decision.MovePicture(id(0), 0, 1, id(2), 0);
        assertThat(pictures(after(one, two, moved), 0)).containsExactly("p1");
        assertThat(pictures(after(one, two, moved), 2)).containsExactly("p2");
        Decision out = new Decision.SetPicture(id(0), 0, 0, "", "");
        assertThat(pictures(after(one, two, out), 0)).containsExactly("p2");
        // A place that is not there, or a question that is not, changes nothing.
        assertThat(after(
                                one,
                                new Decision.MovePicture(id(0), 0, 4, id(2), 0),
                                new Decision.MovePicture(id(0), 0, 0, "q99", 0))
                        .quiz())
                .isEqualTo(after(one).quiz());
    }

    @Test
    void anOptionHasPicturesOfItsOwn() {
        Decision below = new Decision.SetPicture(id(0), 0, 0, "p1", "a comb");
        Decision second = new Decision.SetPicture(id(0), 2, 0, "p2", "");
        Tidied both = after(below, second, new Decision.MovePicture(id(0), 0, 0, id(0), 1));
        assertThat(PictureTexts.of(both.quiz().questions().get(0)))
                .extracting(text -> text.prose().pictures().stream()
                        .map(Inline.Picture::figure)
                        .toList())
                .startsWith(List.of(), List.of("p1"), List.of("p2"));
        assertThat(after(below, new Decision.MovePicture(id(0), 0, 0, id(0), 9)).quiz())
                .isEqualTo(after(below).quiz());
    }

    @Test
    void typedStarsMakeWordsBoldAndEditingKeepsPictures() {
        Decision picture = new Decision.SetPicture(id(0), 0, 0, "p1", "a comb");
        Decision edit = new Decision.EditStem(id(0), "Who does **not** dance?");
        Tidied edited = after(picture, edit);
        assertThat(edited.quiz().questions().get(0).particulars().stem().plain())
                .isEqualTo("Who does not dance?");
        assertThat(edited.quiz().questions().get(0).particulars().stem().parts())
                .anyMatch(part -> part instanceof Inline.Text text
                        && text.text().equals("not")
                        && !text.emphasis().isEmpty());
        assertThat(pictures(edited, 0)).containsExactly("p1");
    }

    @Test
    void theseDecisionsAreStoredAndReadBackEqual() {
        List<Decision> all = new ArrayList<>(List.of(
                new Decision.SetUp("q1", Settings.NONE.withTopic("Hive").withPartial(Optional.of(PartialMarks.WHOLE))),
                new Decision.Assign("q1", 1),
                new Decision.SetPicture("q1", 2, 0, "p1", "a comb"),
                new Decision.MovePicture("q1", 0, 0, "q2", 1),
                new Decision.Dismiss("option-gap", 4, "struck out on purpose")));
        assertThat(all)
                .allSatisfy(decision -> assertThat(StoredJson.read(StoredJson.write(decision), Decision.class))
                        .isEqualTo(decision));
        // What was stored before options could have pictures.
        assertThat(StoredJson.read(
                        "{\"kind\":\"set-picture\",\"question\":\"q1\",\"place\":1,\"figure\":\"p1\",\"alternative\":\"\"}",
                        Decision.class))
                .isEqualTo(new Decision.SetPicture("q1", 0, 1, "p1", ""));
        // What was stored before a snag could be dismissed with a reason.
        assertThat(StoredJson.read("{\"kind\":\"dismiss\",\"snag\":\"option-gap\",\"line\":4}", Decision.class))
                .isEqualTo(new Decision.Dismiss("option-gap", 4, ""));
    }
}
