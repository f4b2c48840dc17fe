package org.tidyleaf.reading;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.tidyleaf.reading.MadeContent.Asked;
import org.tidyleaf.reading.MadeContent.Bank;
import org.tidyleaf.reading.MadeContent.Choice;
import org.tidyleaf.reading.MadeContent.Number;
import org.tidyleaf.reading.MadeContent.Pairs;
import org.tidyleaf.reading.MadeContent.Parts;
import org.tidyleaf.reading.MadeContent.Passage;
import org.tidyleaf.reading.MadeContent.Statement;
import org.tidyleaf.reading.MadeContent.Steps;

/**
 * What a made-up test is typed in: its content, and the words of papers of that language for the English ones, which stand for
 * themselves where there are none.
 */
record MadeLanguage(
        Map<String, String> words,
        List<Choice> choices,
        List<Choice> several,
        List<Statement> statements,
        List<Asked> gaps,
        List<Asked> asked,
        List<Number> numbers,
        List<Asked> essays,
        List<Pairs> pairs,
        List<Steps> steps,
        List<Bank> banks,
        List<Passage> passages,
        List<Parts> parts) {

    /** The words of the language for words in English. */
    String say(String english) {
        return words.getOrDefault(english, english);
    }

    static final MadeLanguage ENGLISH = new MadeLanguage(
            Map.of(),
            MadeContent.CHOICES,
            MadeContent.SEVERAL,
            MadeContent.STATEMENTS,
            MadeContent.GAPS,
            MadeContent.SHORT,
            MadeContent.NUMBERS,
            MadeContent.ESSAYS,
            MadeContent.PAIRS,
            MadeContent.STEPS,
            MadeContent.BANKS,
            MadeContent.PASSAGES,
            MadeContent.PARTS);

    static final MadeLanguage GERMAN = new MadeLanguage(
            Map.ofEntries(
                    Map.entry("Name", "Name"),
                    Map.entry("Date", "Datum"),
                    Map.entry("Part", "Teil"),
                    Map.entry("SECTION", "ABSCHNITT"),
                    Map.entry("Exercise", "Aufgabe"),
                    Map.entry("Question", "Frage"),
                    Map.entry("Q", "F"),
                    Map.entry("Multiple choice", "Multiple Choice"),
                    Map.entry("Choose the best answer.", "Wähle die beste Antwort."),
                    Map.entry("True or false", "Richtig oder falsch"),
                    Map.entry("Complete the sentences", "Lückentext"),
                    Map.entry("Write one word in each gap.", "Schreibe in jede Lücke ein Wort."),
                    Map.entry("Short answers", "Kurzantworten"),
                    Map.entry("Answer in a word or two.", "Antworte mit einem Wort oder zweien."),
                    Map.entry("Several answers", "Mehrfachauswahl"),
                    Map.entry("More than one answer is right.", "Mehrere Antworten sind richtig."),
                    Map.entry("Calculate", "Rechenaufgaben"),
                    Map.entry("Give the unit as well.", "Gib auch die Einheit an."),
                    Map.entry("Matching", "Zuordnung"),
                    Map.entry("Ordering", "Reihenfolge"),
                    Map.entry("Gapped text", "Text mit Lücken"),
                    Map.entry("Reading", "Textverständnis"),
                    Map.entry("Open questions", "Offene Fragen"),
                    Map.entry("Essay questions", "Freie Antworten"),
                    Map.entry("Answer in full sentences.", "Antworte in ganzen Sätzen."),
                    Map.entry(
                            "Write T for true or F for false on each line.",
                            "Schreibe R für richtig oder F für falsch auf jede Linie."),
                    Map.entry("Write true or false.", "Schreibe richtig oder falsch."),
                    Map.entry("Circle T or F.", "Kreise R oder F ein."),
                    Map.entry("Are these statements true or false?", "Sind diese Aussagen richtig oder falsch?"),
                    Map.entry("True", "Richtig"),
                    Map.entry("False", "Falsch"),
                    Map.entry("T", "R"),
                    Map.entry("Answer", "Antwort"),
                    Map.entry("Ans", "Lösung"),
                    Map.entry("Correct answer", "Richtige Antwort"),
                    Map.entry("Explanation", "Erklärung"),
                    Map.entry("Feedback", "Rückmeldung"),
                    Map.entry("Rationale", "Begründung"),
                    Map.entry("correct", "richtig"),
                    Map.entry("points", "Punkte"),
                    Map.entry("marks", "Punkte"),
                    Map.entry("pts", "Pkt."),
                    Map.entry("p", "P"),
                    Map.entry("points each", "Punkte je Frage"),
                    Map.entry("Difficulty", "Schwierigkeit"),
                    Map.entry("easy", "leicht"),
                    Map.entry("medium", "mittel"),
                    Map.entry("Words", "Wortkasten"),
                    Map.entry("Answer key", "Lösungsschlüssel"),
                    Map.entry("ANSWERS", "LÖSUNGEN"),
                    Map.entry("Read the text and answer questions", "Lies den Text und beantworte die Fragen")),
            List.of(
                    new Choice(
                            "Welche Biene legt fast alle Eier eines Volkes?",
                            1,
                            "Nur sie ist begattet.",
                            "eine Arbeiterin",
                            "die Königin",
                            "eine Drohne",
                            "eine Wächterin"),
                    new Choice("Wie viele Beine hat eine Honigbiene?", 2, "Bienen sind Insekten.", "4", "5", "6", "8"),
                    new Choice(
                            "Propolis ist",
                            3,
                            "Bienen sammeln es an Knospen.",
                            "eine Honigsorte",
                            "eine Krankheit",
                            "das Futter der Königin",
                            "ein Harz"),
                    new Choice(
                            "Womit misst man einen Außendurchmesser am genauesten?",
                            0,
                            "",
                            "mit der Schieblehre",
                            "mit dem Maßband",
                            "mit dem Zollstock",
                            "mit dem Augenmaß"),
                    new Choice(
                            "Wie viel sind 2,5 m in Zentimetern?",
                            3,
                            "Ein Meter hat 100 cm.",
                            "0,025",
                            "2,5",
                            "25",
                            "250"),
                    new Choice(
                            "Wann öffnet man einen Bienenstock am besten?",
                            1,
                            "Dann sind die Sammlerinnen unterwegs.",
                            "im Morgengrauen",
                            "um die Mittagszeit",
                            "am Abend",
                            "in der Nacht"),
                    new Choice(
                            "Der Schwänzeltanz verrät,",
                            0,
                            "",
                            "wo es Futter gibt",
                            "dass die Königin tot ist",
                            "dass es regnen wird",
                            "wann geschwärmt wird")),
            List.of(
                    new Choice(
                            "Was wird von Bienen hergestellt? Wähle alle richtigen Antworten.",
                            Set.of(0, 2),
                            "",
                            "Honig",
                            "Nektar",
                            "Wachs",
                            "Pollen"),
                    new Choice(
                            "Welche zwei sind Einheiten der Masse?",
                            Set.of(1, 3),
                            "",
                            "Meter",
                            "Gramm",
                            "Liter",
                            "Tonne")),
            List.of(
                    new Statement("Eine Drohne hat keinen Stachel.", true, ""),
                    new Statement("Bienen fliegen bei starkem Regen aus.", false, "Sie bleiben zu Hause."),
                    new Statement("Arbeiterinnen sind weiblich.", true, ""),
                    new Statement("Ein Lot hängt senkrecht.", true, ""),
                    new Statement("Ein Zoll ist genau 2 cm lang.", false, "")),
            List.of(
                    new Asked("Die Flüssigkeit, die Bienen an Blüten sammeln, heißt _.", "Nektar"),
                    new Asked("Bienen tragen _ an den Hinterbeinen nach Hause.", "Pollen"),
                    new Asked("Mit einem _ wird geprüft, ob ein Regal waagerecht hängt.", "Wasserwaage")),
            List.of(
                    new Asked("Wie heißt eine männliche Biene?", "Drohne", "Drohn"),
                    new Asked("Welche Farbe kennzeichnet eine Königin aus dem Jahr 2023?", "Rot"),
                    new Asked("Nenne das Werkzeug, mit dem Waben gelöst werden.", "Stockmeißel")),
            List.of(
                    new Number("Wie viele Tage braucht eine Königin vom Ei bis zum Schlüpfen?", "16", "Tage"),
                    new Number("Wie viel Honig geben 8 Waben zu je 2,5 kg?", "20", "kg")),
            List.of(
                    new Asked(
                            "Erkläre, warum ein Volk schwärmt.",
                            "Der Stock ist voll und die Königin alt, deshalb zieht sie mit der Hälfte der Bienen aus."),
                    new Asked(
                            "Beschreibe, wie ein Winkel geprüft wird.",
                            "Man schlägt ihn von beiden Seiten an derselben Kante an und vergleicht die Linien.")),
            List.of(
                    new Pairs(
                            "Ordne jedem Werkzeug seinen Zweck zu.",
                            List.of("Smoker", "Stockmeißel", "Besen"),
                            List.of("löst Waben", "beruhigt die Bienen", "fegt Bienen ab", "schleudert Honig"),
                            List.of(1, 0, 2)),
                    new Pairs(
                            "Ordne die Größen ihren Einheiten zu.",
                            List.of("Masse", "Länge", "Zeit"),
                            List.of("Sekunde", "Kilogramm", "Meter"),
                            List.of(1, 2, 0))),
            List.of(
                    new Steps(
                            "Bringe die Schritte in die richtige Reihenfolge.",
                            List.of("Wabe ziehen", "Smoker anzünden", "Deckel öffnen", "Stock schließen"),
                            List.of(1, 2, 0, 3)),
                    new Steps(
                            "Ordne die Längen der Größe nach.",
                            List.of("ein Meter", "ein Millimeter", "ein Kilometer"),
                            List.of(1, 0, 2))),
            List.of(new Bank(
                    "Ergänze den Text mit Wörtern aus dem Kasten.",
                    "Die _ legt Eier und die _ sammeln Nektar.",
                    List.of("Drohnen", "Königin", "Arbeiterinnen"),
                    List.of(1, 2))),
            List.of(new Passage(
                    "Ein Schwarm im Mai",
                    List.of(
                            "Am zweiten Sonntag im Mai erhob sich eine dunkle Wolke aus dem dritten Stock und ließ sich im alten Birnbaum am Tor nieder. Ina holte einen Korb, eine Leiter und ein Laken."),
                    List.of(new Choice(
                            "Wo ließ sich der Schwarm nieder?",
                            1,
                            "",
                            "am Tor",
                            "im Birnbaum",
                            "im leeren Stock",
                            "auf der Leiter")),
                    List.of(new Asked("Womit wurde der Schwarm gefangen?", "Korb")))),
            List.of(new Parts(
                    "Ein Volk mit 40 000 Bienen verliert jeden Tag 1 000 Bienen.",
                    List.of(
                            new Asked("Erkläre, was der Imker zuerst bemerkt.", "Am Flugloch fliegen weniger Bienen."),
                            new Asked(
                                    "Beschreibe eine Maßnahme dagegen.", "Der Imker kann zwei Völker vereinigen.")))));
}
