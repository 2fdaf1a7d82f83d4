package ableschema.core.store;

import ableschema.core.document.Document;
import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;

/** A document as a file {@code NAME.able.json}. */
public final class DocumentFile {

    /** The end of every document's file name. */
    public static final String ENDING = ".able.json";

    /** Stands for standard input, as with most commands. */
    public static final Path STANDARD = Path.of("-");

    /** The version of the format that is written, and the newest that is read. */
    static final int VERSION = 1;

    private static final long LARGEST = 32L * 1024 * 1024;
    private static final ObjectMapper MAPPER = JsonMapper.builder()
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .build();

    private DocumentFile() {}

    /** Reads a document; a {@link FileProblem} says in one line why it cannot be read. */
    public static Document read(Path file) throws FileProblem {
        String text = readText(file, "check that it is a design");
        if (text.isBlank()) {
            throw FileProblem.reading(file, "it is empty", "open an earlier copy, or start a new design");
        }
        if ("{[".indexOf(text.stripLeading().charAt(0)) < 0) {
            throw FileProblem.reading(
                    file,
                    "it is no design, which is JSON and begins with {",
                    "read sentences with able words --from, and SQL with able read; this file stays as it is");
        }
        try {
            var root = new Node(MAPPER.readTree(text), "");
            requireVersion(file, root);
            return DocumentForm.read(root);
        } catch (JsonProcessingException e) {
            int line = e.getLocation() == null ? 1 : e.getLocation().getLineNr();
            throw FileProblem.reading(file, line, "it is not JSON, as " + e.getOriginalMessage());
        } catch (Node.Misfit e) {
            throw FileProblem.reading(file, line(text, e.pointer()), String.valueOf(e.getMessage()));
        }
    }

    /** Whether a file holds a design, whatever it is called. */
    public static boolean isDesign(Path file) {
        try {
            read(file);
            return true;
        } catch (FileProblem e) {
            return false;
        }
    }

    /** Reads the text of a document that {@link #print} made; an {@link IllegalArgumentException} says if it is none. */
    public static Document parse(String text) {
        try {
            var root = new Node(MAPPER.readTree(text), "");
            root.version();
            return DocumentForm.read(root);
        } catch (JsonProcessingException | Node.Misfit e) {
            throw new IllegalArgumentException("the text is no design: " + e.getMessage(), e);
        }
    }

    /** Writes a document; a {@link FileProblem} says why it could not, and then the old file is untouched. */
    public static void write(Path file, Document document) throws FileProblem {
        SafeFile.write(file, print(document));
    }

    /** The text of a document's file. */
    public static String print(Document document) {
        return StableJson.print(DocumentForm.write(document));
    }

    /**
     * Reads a text in UTF-8; a {@link FileProblem} says in one line why it cannot be read.
     *
     * @param file     {@link #STANDARD} for standard input
     * @param otherwise what can be done where it is not such a text
     */
    public static String readText(Path file, String otherwise) throws FileProblem {
        try {
            if (file.equals(STANDARD)) {
                return unmarked(new String(System.in.readAllBytes(), StandardCharsets.UTF_8));
            }
            if (file.toString().isEmpty()) {
                throw FileProblem.reading(Path.of("''"), "the name is empty", "name a file");
            }
            if (Files.isDirectory(file)) {
                throw FileProblem.reading(file, "it is a folder", otherwise);
            }
            if (Files.size(file) > LARGEST) {
                throw FileProblem.reading(
                        file,
                        "it has " + Files.size(file) / (1024 * 1024) + " MB, more than the " + LARGEST / (1024 * 1024)
                                + " MB that are read",
                        otherwise);
            }
            return unmarked(Files.readString(file, StandardCharsets.UTF_8));
        } catch (CharacterCodingException e) {
            throw FileProblem.reading(file, "it is not text in UTF-8", otherwise);
        } catch (IOException e) {
            throw FileProblem.reading(file, e);
        }
    }

    /** Some editors begin a text with a byte order mark. */
    private static String unmarked(String text) {
        return text.startsWith("\uFEFF") ? text.substring(1) : text;
    }

    private static void requireVersion(Path file, Node root) throws FileProblem {
        int version = root.version();
        if (version > VERSION) {
            throw FileProblem.reading(
                    file,
                    "it has format version " + version + ", and this program reads up to " + VERSION,
                    "open it with a newer Able Schema; the file stays as it is");
        }
    }

    /** The line on which the value at a pointer begins. */
    private static int line(String text, String pointer) {
        try (JsonParser parser = new JsonFactory().createParser(text)) {
            while (parser.nextToken() != null) {
                if (parser.getParsingContext().pathAsPointer().toString().equals(pointer)) {
                    return parser.currentTokenLocation().getLineNr();
                }
            }
            return 1;
        } catch (IOException e) {
            return 1; // the text has been parsed before, so this does not come
        }
    }
}
