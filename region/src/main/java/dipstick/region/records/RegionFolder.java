package dipstick.region.records;

import java.io.FileNotFoundException;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import org.apache.hadoop.conf.Configuration;
import org.apache.hadoop.fs.FSDataOutputStream;
import org.apache.hadoop.fs.FileStatus;
import org.apache.hadoop.fs.FileSystem;
import org.apache.hadoop.fs.Path;

/** A folder of Parquet files, on whatever storage the cluster shares. */
public final class RegionFolder {
    private static final String MANIFEST = "region.json";

    private final Path root;
    private final Configuration storage;

    public RegionFolder(Path root, Configuration storage) {
        this.root = root;
        this.storage = storage;
    }

    public Path root() {
        return root;
    }

    Configuration storage() {
        return storage;
    }

    /** Where the files of one side of a part lie. */
    public Path of(Side side, Part part) {
        return new Path(
                new Path(new Path(root, side.folder()), "practice=" + FolderName.of(part.practice())),
                "part=" + part.number());
    }

    /** The files of one side of a part, by name; none where nobody is in it. */
    List<Path> files(Side side, Part part) throws IOException {
        Path folder = of(side, part);
        FileSystem files = folder.getFileSystem(storage);
        try {
            return Arrays.stream(files.listStatus(folder, path -> path.getName().endsWith(".parquet")))
                    .map(FileStatus::getPath)
                    .sorted(Comparator.comparing(Path::getName))
                    .toList();
        } catch (FileNotFoundException nobody) {
            return List.of();
        }
    }

    /** @throws RegionFault where there is none, or it is another file */
    public Manifest manifest() throws IOException {
        Path file = new Path(root, MANIFEST);
        FileSystem files = file.getFileSystem(storage);
        try (var in = files.open(file)) {
            return Manifest.read(file.toString(), new String(in.readAllBytes(), StandardCharsets.UTF_8));
        } catch (FileNotFoundException none) {
            throw new RegionFault(file.toString(), "there is no such file. Make the folder with region convert.");
        }
    }

    public void write(Manifest manifest) throws IOException {
        Path file = new Path(root, MANIFEST);
        try (FSDataOutputStream out = file.getFileSystem(storage).create(file, true)) {
            out.write(manifest.written().getBytes(StandardCharsets.UTF_8));
        }
    }
}
