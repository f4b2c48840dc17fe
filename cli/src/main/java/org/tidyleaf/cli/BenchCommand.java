package org.tidyleaf.cli;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import javax.xml.parsers.DocumentBuilderFactory;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.text.PDFTextStripper;
import org.tidyleaf.intake.Intake;
import org.tidyleaf.reading.Pins;
import org.tidyleaf.reading.Reader;
import org.tidyleaf.source.Source;
import picocli.CommandLine.Command;
import picocli.CommandLine.Parameters;

/**
 * Times the reader against bare extraction of the same file, both in turns in one process: the ratio of the two medians
 * says more than either time, since it hardly depends on the machine.
 */
@Command(name = "bench", description = "Times reading against bare extraction of the same files.")
final class BenchCommand implements Callable<Integer> {

    /** Both sides run so long before anything is timed, that the compiler has done its work on both. */
    private static final double WARM_UP_MILLISECONDS = 6000;

    private static final int ROUNDS = 15;
    private static final double MILLION = 1e6;

    @Parameters(arity = "0..*", paramLabel = "FILE", description = "files to time besides the made ones")
    private List<Path> files = List.of();

    /** What is timed. */
    private interface Work {
        void run() throws Exception;
    }

    @Override
    public Integer call() throws Exception {
        System.out.printf("%-34s %9s %9s %9s %7s%n", "file", "bare ms", "intake ms", "read ms", "ratio");
        for (int questions : new int[] {20, 450, 2000}) {
            time("made with " + questions + " questions.docx", made(questions));
        }
        for (Path file : files) {
            time(String.valueOf(file.getFileName()), Files.readAllBytes(file));
        }
        return 0;
    }

    private static void time(String name, byte[] bytes) throws Exception {
        List<Double> bare = new ArrayList<>();
        List<Double> intake = new ArrayList<>();
        List<Double> whole = new ArrayList<>();
        int rounds = bytes.length > 100_000 ? ROUNDS / 3 : ROUNDS;
        double warm = 0;
        while (bare.size() < rounds) {
            double first = milliseconds(() -> extract(name, bytes));
            double second = milliseconds(() -> new Intake().read(name, bytes));
            double third = milliseconds(() -> read(name, bytes));
            warm += first + second + third;
            if (warm > WARM_UP_MILLISECONDS) {
                bare.add(first);
                intake.add(second);
                whole.add(third);
            }
        }
        System.out.printf(
                "%-34s %9.1f %9.1f %9.1f %7.2f%n",
                name, median(bare), median(intake), median(whole), median(whole) / median(bare));
    }

    private static void read(String name, byte[] bytes) throws Exception {
        Source source = new Intake().read(name, bytes);
        new Reader().read(source, Pins.NONE);
    }

    /** What the library underneath does alone: the XML tree of a .docx, text and pictures of a PDF. */
    private static void extract(String name, byte[] bytes) throws Exception {
        if (name.endsWith(".pdf")) {
            try (PDDocument document = Loader.loadPDF(bytes)) {
                new PDFTextStripper().getText(document);
                for (PDPage page : document.getPages()) {
                    if (page.getResources() != null) {
                        pictures(page.getResources());
                    }
                }
            }
        } else if (name.endsWith(".docx") || name.endsWith(".odt")) {
            tree(bytes);
        } else {
            new String(bytes, StandardCharsets.UTF_8).lines().count();
        }
    }

    private static void pictures(PDResources resources) throws IOException {
        for (COSName name : resources.getXObjectNames()) {
            if (resources.getXObject(name) instanceof PDImageXObject image) {
                image.getImage();
            }
        }
    }

    private static void tree(byte[] bytes) throws Exception {
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                byte[] part = zip.readAllBytes();
                if (entry.getName().endsWith(".xml")) {
                    DocumentBuilderFactory.newDefaultNSInstance()
                            .newDocumentBuilder()
                            .parse(new ByteArrayInputStream(part));
                }
            }
        }
    }

    private static double milliseconds(Work work) throws Exception {
        long from = System.nanoTime();
        work.run();
        return (System.nanoTime() - from) / MILLION;
    }

    private static double median(List<Double> times) {
        Collections.sort(times);
        return times.get(times.size() / 2);
    }

    private static byte[] made(int questions) throws IOException {
        Random random = new Random(questions);
        StringBuilder body = new StringBuilder();
        for (int i = 1; i <= questions; i++) {
            paragraph(body, i + ". Which " + words(random, 12) + "?", false);
            int key = random.nextInt(4);
            for (int option = 0; option < 4; option++) {
                paragraph(body, (char) ('A' + option) + ". " + words(random, 6) + " " + i, option == key);
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            zip.putNextEntry(new ZipEntry("word/document.xml"));
            String namespace = "http://schemas.openxmlformats.org/wordprocessingml/2006/main";
            String xml = "<w:document xmlns:w=\"" + namespace + "\"><w:body>" + body + "</w:body></w:document>";
            zip.write(xml.getBytes(StandardCharsets.UTF_8));
            zip.closeEntry();
        }
        return out.toByteArray();
    }

    private static void paragraph(StringBuilder body, String text, boolean bold) {
        body.append("<w:p><w:pPr><w:ind w:left=\"360\"/></w:pPr><w:r>")
                .append(bold ? "<w:rPr><w:b/></w:rPr>" : "")
                .append("<w:t>")
                .append(text)
                .append("</w:t></w:r></w:p>");
    }

    private static String words(Random random, int count) {
        String[] words = {"queen", "worker", "frame", "honey", "comb", "smoke", "wax", "brood", "super", "veil", "glove"
        };
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < count; i++) {
            text.append(i > 0 ? " " : "").append(words[random.nextInt(words.length)]);
        }
        return text.toString();
    }
}
