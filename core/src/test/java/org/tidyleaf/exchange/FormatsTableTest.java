package org.tidyleaf.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.junit.jupiter.api.Test;
import org.tidyleaf.intake.Intake;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.marking.Marker;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.ExtendedText;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.MultipleChoice;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.OptionOrder;
import org.tidyleaf.question.PartialMarks;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.QuestionType;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.question.Settings;
import org.tidyleaf.question.SingleChoice;
import org.tidyleaf.question.WordLimits;
import org.tidyleaf.reading.AnswerText;
import org.tidyleaf.reading.Pins;
import org.tidyleaf.reading.Reader;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Figure;
import org.tidyleaf.source.Source;

/** What each format holds, found out by going out and coming back; docs/formats.md is this table. */
class FormatsTableTest {

    private static final List<Outlet> FORMATS = List.of(
            Outlet.QTI3,
            Outlet.QTI21,
            Outlet.CARTRIDGE,
            Outlet.JSON,
            Outlet.DOCX_KEYED,
            Outlet.ODT_KEYED,
            Outlet.XLSX,
            Outlet.CSV,
            Outlet.TEXT,
            Outlet.MARKDOWN);

    private static final String KEPT = "yes";
    private static final String TURNED = "turned";
    private static final String LOST = "no";

    private record Sample(Quiz quiz, List<Figure> figures) {}

    private static Sample starter() throws IOException, IntakeException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        StarterDocument.write(Paper.DOCX, out);
        Source source = new Intake().read("starter.docx", out.toByteArray());
        return new Sample(new Reader().read(source, Pins.NONE).quiz(), source.figures());
    }

    private static Sample all() throws IntakeException {
        return new Sample(
                QtiPackageTest.quiz("all.txt", QtiPackageTest.ALL_TYPES.getBytes(StandardCharsets.UTF_8)), List.of());
    }

    private static Sample emphatic() {
        Prose stem = new Prose(List.of(
                new Inline.Text("Which bee is ", Set.of()),
                new Inline.Text("not", Set.of(Emphasis.BOLD)),
                new Inline.Text(" a worker?", Set.of())));
        Particulars particulars = new Particulars("q1", "1", stem, Optional.empty(), -1, -1, Prose.EMPTY, Prose.EMPTY);
        List<Option> options = List.of(
                new Option("A", Prose.of("drone"), Prose.EMPTY), new Option("B", Prose.of("forager"), Prose.EMPTY));
        Question question = new SingleChoice(particulars, options, Set.of(0));
        return new Sample(new Quiz("Set apart", List.of(), List.of(), List.of(question)), List.of());
    }

    private static Settings settings(Question question) {
        return question.particulars().settings();
    }

    /** Questions with every setting that a question can have. */
    private static Sample settled() {
        List<Option> options = List.of(
                new Option("A", Prose.of("wax"), Prose.EMPTY),
                new Option("B", Prose.of("silk"), Prose.EMPTY),
                new Option("C", Prose.of("honey"), Prose.EMPTY));
        Settings one = new Settings(
                "Products",
                List.of("Difficulty: easy"),
                true,
                OptionOrder.SHUFFLED,
                Optional.of(PartialMarks.EACH_RIGHT),
                WordLimits.NONE);
        Settings two = new Settings(
                "Hive", List.of(), false, OptionOrder.KEPT, Optional.of(PartialMarks.LESS_WRONG), WordLimits.NONE);
        Question first = new MultipleChoice(
                plain("q1", "1", "Which are made by bees?").withSettings(one), options, Set.of(0, 2));
        Question second = new MultipleChoice(
                plain("q2", "2", "Which are found in a hive?").withSettings(two), options, Set.of(0, 2));
        Question third = new ExtendedText(
                plain("q3", "3", "Describe a swarm.").withSettings(Settings.NONE.withWords(new WordLimits(60, 80))),
                Prose.EMPTY);
        return new Sample(new Quiz("Settled", List.of(), List.of(), List.of(first, second, third)), List.of());
    }

    private static Particulars plain(String id, String number, String stem) {
        return new Particulars(id, number, Prose.of(stem), Optional.empty(), -1, -1, Prose.EMPTY, Prose.EMPTY);
    }

    private static Imported back(Outlet format, Sample test) throws IOException, IntakeException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        format.write(
                test.quiz(),
                id -> test.figures().stream()
                        .filter(figure -> figure.id().equals(id))
                        .findFirst(),
                out);
        byte[] bytes = out.toByteArray();
        String name = "back" + format.ending();
        if (format == Outlet.JSON) {
            return TestJson.read(name, bytes);
        }
        if (QtiReader.isPackage(bytes)) {
            return QtiReader.read(name, bytes);
        }
        Source source = new Intake().read(name, bytes);
        return new Imported(new Reader().read(source, Pins.NONE).quiz(), source.figures(), List.of());
    }

    private static Optional<Question> same(Quiz quiz, Question wanted) {
        return quiz.questions().stream()
                .filter(question ->
                        words(question).contains(words(wanted)) || words(wanted).contains(words(question)))
                .filter(question -> !words(question).isEmpty())
                .findFirst();
    }

    private static String words(Question question) {
        return question.particulars().stem().plain().replaceAll("\\[\\[\\d+]]|[^\\p{L}\\d]", "");
    }

    private static String type(Quiz before, Quiz after, QuestionType type) {
        String worst = KEPT;
        for (Question question : before.questions()) {
            if (question.type() == type) {
                Optional<Question> found = same(after, question);
                boolean kept = found.filter(f -> f.type() == type)
                        .filter(f -> AnswerText.of(f).equals(AnswerText.of(question)))
                        .isPresent();
                String fate = kept ? KEPT : found.isPresent() ? TURNED : LOST;
                worst = worst.equals(LOST) || fate.equals(KEPT) ? worst : fate;
            }
        }
        return worst;
    }

    private static String all(Quiz before, Quiz after, Function<Question, String> field) {
        boolean kept = before.questions().stream()
                .filter(question -> !field.apply(question).isEmpty())
                .allMatch(question -> same(after, question)
                        .map(field)
                        .filter(field.apply(question)::equals)
                        .isPresent());
        return kept ? KEPT : LOST;
    }

    private static String optionFeedback(Question question) {
        return question instanceof ChoiceQuestion choice
                ? choice.options().stream()
                        .map(option -> option.feedback().plain())
                        .toList()
                        .toString()
                        .replaceAll("[\\[\\], ]", "")
                : "";
    }

    private static String emphasised(Question question) {
        List<String> set = new ArrayList<>();
        for (Inline part : question.particulars().stem().parts()) {
            if (part instanceof Inline.Text text && !text.emphasis().isEmpty()) {
                set.add(text.text() + text.emphasis());
            }
        }
        return set.isEmpty() ? "" : set.toString();
    }

    private static String formulas(Question question) {
        return question.particulars().stem().parts().stream()
                .filter(Inline.Formula.class::isInstance)
                .map(Inline::plain)
                .toList()
                .toString()
                .replaceAll("[\\[\\]\\s{}]", "");
    }

    private static String section(Quiz quiz, Question question) {
        int place = question.particulars().section();
        return place < 0 ? "" : quiz.sections().get(place).title();
    }

    private static String passage(Quiz quiz, Question question) {
        int place = question.particulars().stimulus();
        return place < 0 ? "" : quiz.stimuli().get(place).text().plain().replaceAll("\\s", "");
    }

    @Test
    void theTableInTheDocumentationIsTrue() throws IOException, IntakeException {
        Map<String, List<String>> rows = new LinkedHashMap<>();
        for (Outlet format : FORMATS) {
            Sample starter = starter();
            Sample all = all();
            Imported fromStarter = back(format, starter);
            Quiz one = fromStarter.quiz();
            Quiz two = back(format, all).quiz();
            for (QuestionType type : QuestionType.values()) {
                cell(rows, type.label(), worse(type(starter.quiz(), one, type), type(all.quiz(), two, type)));
            }
            cell(
                    rows,
                    "points",
                    all(
                            all.quiz(),
                            two,
                            q -> Marker.most(q).stripTrailingZeros().toPlainString()));
            cell(
                    rows,
                    "feedback",
                    all(all.quiz(), two, q -> q.particulars().feedback().plain()));
            cell(rows, "hints", all(all.quiz(), two, q -> q.particulars().hint().plain()));
            cell(rows, "formulas", all(all.quiz(), two, FormatsTableTest::formulas));
            Sample set = emphatic();
            cell(rows, "emphasis", all(set.quiz(), back(format, set).quiz(), FormatsTableTest::emphasised));
            Sample settled = settled();
            Quiz kept = back(format, settled).quiz();
            cell(rows, "topics", all(settled.quiz(), kept, q -> settings(q).topic()));
            cell(
                    rows,
                    "notes for the author",
                    all(settled.quiz(), kept, q -> String.join(", ", settings(q).labels())));
            cell(
                    rows,
                    "must be answered",
                    all(settled.quiz(), kept, q -> settings(q).required() ? "yes" : ""));
            cell(
                    rows,
                    "order of options",
                    all(
                            settled.quiz(),
                            kept,
                            q -> settings(q).order() == OptionOrder.USUAL
                                    ? ""
                                    : settings(q).order().name()));
            cell(
                    rows,
                    "marks for part of it",
                    all(
                            settled.quiz(),
                            kept,
                            q -> settings(q).partial().map(Enum::name).orElse("")));
            cell(
                    rows,
                    "length of written answers",
                    all(settled.quiz(), kept, q -> settings(q).words().words()));
            cell(rows, "pictures", fromStarter.figures().size() == 1 ? KEPT : LOST);
            cell(rows, "sections", placed(all.quiz(), two, FormatsTableTest::section));
            cell(rows, "passages", placed(all.quiz(), two, FormatsTableTest::passage));
        }
        Path document = Path.of("..", "docs", "formats.md");
        String table = table(rows);
        Files.createDirectories(Path.of("target"));
        Files.writeString(Path.of("target", "formats.md"), table);
        assertThat(Files.exists(document) ? Files.readString(document) : "")
                .as("docs/formats.md differs; core/target/formats.md is the table as it is now")
                .isEqualTo(table);
    }

    private static String placed(Quiz before, Quiz after, java.util.function.BiFunction<Quiz, Question, String> place) {
        boolean kept = before.questions().stream()
                .filter(question -> !place.apply(before, question).isEmpty())
                .allMatch(question -> same(after, question)
                        .map(found -> place.apply(after, found))
                        .filter(place.apply(before, question)::equals)
                        .isPresent());
        return kept ? KEPT : LOST;
    }

    private static String worse(String one, String other) {
        List<String> order = List.of(KEPT, TURNED, LOST);
        return order.get(Math.max(order.indexOf(one), order.indexOf(other)));
    }

    private static void cell(Map<String, List<String>> rows, String name, String fate) {
        rows.computeIfAbsent(name, n -> new ArrayList<>()).add(fate);
    }

    private static String table(Map<String, List<String>> rows) {
        StringBuilder text = new StringBuilder("""
                # What each format holds

                A test with every type of question goes out in each format and comes back through our own reader; this table is what was
                the same. *yes*: as it was, key and all. *turned*: it comes back as another type, or as several questions, as the page
                "Take along" says beforehand. *no*: left behind. Made by `FormatsTableTest`, which fails where it is not true any more.

                """);
        text.append("| |");
        FORMATS.forEach(format -> text.append(' ')
                .append(format.name().toLowerCase(java.util.Locale.ROOT))
                .append(" |"));
        text.append("\n|---|").append("---|".repeat(FORMATS.size())).append('\n');
        rows.forEach((name, cells) -> text.append("| ")
                .append(name)
                .append(" | ")
                .append(String.join(" | ", cells))
                .append(" |\n"));
        return text.toString();
    }
}
