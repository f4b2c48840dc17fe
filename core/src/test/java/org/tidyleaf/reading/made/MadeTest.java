package org.tidyleaf.reading.made;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.tidyleaf.reading.made.Habits.Key;
import org.tidyleaf.reading.made.Page.Look;

/** A test typed by {@link Habits}, and what is to be understood of it, as {@code Shown} in the package above shows a reading. */
public final class MadeTest {

    private static final String TITLE = "Keeping Bees: end of course test";

    /** Of so many authors with their answers in a list, one keeps it in a file of its own. */
    private static final int AUTHORS_A_KEY_FILE = 3;

    private final Language language;
    private final boolean english;
    private final Random random;
    private final Habits habits;
    private final Typist typist;
    private final ChoiceKinds choices;
    private final WrittenKinds written;
    private final PairKinds pairs;
    private final TableKinds tables;
    private final Optional<Page> key;
    private final String ending;

    /** @param format the ending of the file's name, "docx" for example, where plain text does not do */
    public MadeTest(long seed, String languageCode, String format) {
        language = Language.of(languageCode);
        english = languageCode.equals("en");
        random = new Random(seed * 0x9E3779B97F4A7C15L);
        habits = Habits.of(random, format.equals("pdf"));
        typist = new Typist(habits, language, (int) seed);
        choices = new ChoiceKinds(typist);
        written = new WrittenKinds(typist);
        pairs = new PairKinds(typist);
        tables = new TableKinds(typist);
        boolean apart = habits.key().list() && seed % AUTHORS_A_KEY_FILE == 1;
        key = apart ? Optional.of(new Page()) : Optional.empty();
        write();
        boolean plain = page().isPlain() && !habits.twoColumns() && habits.key() != Key.BOLD && random.nextBoolean();
        ending = plain ? "txt" : format;
    }

    /** The habits that were drawn, for whoever looks into a test that failed. */
    public String habits() {
        return habits.toString();
    }

    /** What is to be done in each part, empty where nothing is said. */
    public List<String> instructions() {
        return typist.instructions();
    }

    /** How many pictures each question has. */
    public List<Integer> pictures() {
        return typist.pictures();
    }

    /** The page as text, and behind it the key's if it has a page of its own. */
    public String text() {
        return text(page())
                + key.map(page -> "\n--- " + keyName() + "\n" + text(page)).orElse("");
    }

    private String text(Page of) {
        return habits.wrapped() && english ? of.wrapped() : of.text();
    }

    public byte[] bytes() {
        return saved(page());
    }

    /** As candidates get it, of an author who marks the right answers in a copy of it. */
    public Optional<byte[]> bytesWithoutMarks() {
        Look look = habits.key().look();
        return look == Look.PLAIN ? Optional.empty() : Optional.of(saved(page().without(look)));
    }

    /** The file with the answers, of an author who keeps them apart. */
    public Optional<byte[]> keyBytes() {
        return key.map(this::saved);
    }

    private byte[] saved(Page page) {
        return page.saved(ending, text(page), habits.twoColumns());
    }

    public String expected() {
        return typist.expected().strip().lines().map(String::stripTrailing).collect(Collectors.joining("\n"));
    }

    public String fileName() {
        return "made." + ending;
    }

    public String keyName() {
        return "key." + ending;
    }

    private Page page() {
        return typist.page();
    }

    private void write() {
        if (habits.header()) {
            page().line("Wrenfield Evening College");
        }
        page().line(TITLE, Look.BOLD);
        if (habits.header()) {
            page().line(typist.say("Name") + ": ____________________    " + typist.say("Date") + ": ______________");
            page().blank();
        }
        List<Runnable> kinds = new ArrayList<>(List.of(
                () -> part("Multiple choice", "Choose the best answer.", 6, language.choices(), choices::choice),
                () -> part("True or false", choices.judgingWords(), 5, language.statements(), choices::statement),
                () -> part("Complete the sentences", "Write one word in each gap.", 4, language.gaps(), written::gap),
                () -> part("Short answers", "Answer in a word or two.", 3, language.asked(), written::asked),
                () -> part("Several answers", "More than one answer is right.", 3, language.several(), choices::choice),
                () -> part("Calculate", "Give the unit as well.", 3, language.numbers(), written::number),
                () -> part("Matching", "", 2, language.pairs(), pairs::pairs),
                () -> part("Ordering", "", 2, language.steps(), pairs::steps),
                () -> part("Reading", "", 1, language.passages(), this::passage),
                () -> part("Gapped text", "", 2, language.banks(), written::bank),
                () -> part("Open questions", "", 2, language.parts(), written::lettered),
                () -> part("Right word", "Circle the right word.", 3, language.alternatives(), choices::alternatives),
                () -> part("Grammar", "", 3, language.marks(), written::marks),
                () -> part("Two gaps", "", 3, language.manyGaps(), written::gaps),
                () -> part("Tables", "", 2, language.grids(), tables::grid),
                () -> part("Missing values", "", 2, language.tables(), tables::cells),
                () -> part("Cloze", "Choose the right word for each gap.", 1, language.clozes(), this::cloze),
                () -> part("Essay questions", "Answer in full sentences.", 2, language.essays(), written::essay)));
        Collections.shuffle(kinds, random);
        kinds.subList(0, 3 + random.nextInt(4)).forEach(Runnable::run);
        if (habits.key().list()) {
            key.ifPresent(page -> page.line(TITLE, Look.BOLD));
            typist.keyList(key.orElse(page()), random);
        }
    }

    private <T> void part(String title, String instructions, int most, List<T> content, Consumer<T> write) {
        if (content == null) {
            // Not every language has every kind.
            return;
        }
        List<T> chosen = new ArrayList<>(content);
        Collections.shuffle(chosen, random);
        typist.part(title, instructions);
        chosen.subList(0, Math.min(chosen.size(), 2 + random.nextInt(most))).forEach(write);
    }

    private void cloze(Content.Cloze cloze) {
        String text = cloze.text();
        for (int number = typist.number() + 1; text.contains("(_)"); number++) {
            text = text.replaceFirst("\\(_\\)", "(" + number + ") _____");
        }
        if (habits.parts()) {
            page().line(text);
            typist.under(text);
        } else {
            page().blank();
            page().line(cloze.stem());
            page().line(text);
            typist.under(cloze.stem() + " " + text);
        }
        cloze.choices().forEach(choices::choice);
        typist.under("");
    }

    private void passage(Content.Passage passage) {
        int last = typist.number() + passage.choices().size() + passage.asked().size();
        page().blank();
        String lead = typist.say("Read the text and answer questions") + " " + (typist.number() + 1) + "-" + last + ".";
        page().line(lead);
        page().line(passage.title(), Look.BOLD);
        passage.paragraphs().forEach(page()::line);
        typist.under(lead + " " + passage.title());
        passage.choices().forEach(choices::choice);
        passage.asked().forEach(written::asked);
        typist.under("");
    }
}
