package dipstick.region;

import dipstick.region.records.RegionFault;
import java.io.IOException;
import java.util.UUID;
import org.apache.hadoop.conf.Configuration;
import org.apache.hadoop.fs.FileSystem;
import org.apache.hadoop.fs.Path;

/** A folder that appears whole or not at all: it is written beside its place, and renamed once nothing can go wrong any more. */
public final class WholeFolder implements AutoCloseable {
    private final Path place;
    private final Path aside;
    private final FileSystem files;
    private final boolean again;

    private WholeFolder(Path place, Path aside, FileSystem files, boolean again) {
        this.place = place;
        this.aside = aside;
        this.files = files;
        this.again = again;
    }

    /**
     * @param again whether what is there may be written over
     * @throws RegionFault where something is there that may not
     */
    public static WholeFolder at(String place, boolean again, Configuration storage) throws IOException {
        Path given = new Path(place);
        FileSystem files = given.getFileSystem(storage);
        Path whole = files.makeQualified(given);
        if (files.exists(whole) && !again) {
            throw new RegionFault(place, "it is there already. With --again it is written anew; nothing was changed.");
        }
        return new WholeFolder(
                whole, new Path(whole.getParent(), "." + whole.getName() + "." + UUID.randomUUID()), files, again);
    }

    /** Where to write. */
    public Path aside() {
        return aside;
    }

    /** Puts it in its place. */
    public void finish() throws IOException {
        Path before = new Path(aside.getParent(), aside.getName() + ".before");
        boolean wasThere = again && files.exists(place);
        if (wasThere) {
            rename(place, before);
        }
        rename(aside, place);
        if (wasThere) {
            files.delete(before, true);
        }
    }

    private void rename(Path from, Path to) throws IOException {
        if (!files.rename(from, to)) {
            throw new IOException(from + " cannot be renamed to " + to);
        }
    }

    /** Leaves nothing behind of what was not finished. */
    @Override
    public void close() throws IOException {
        files.delete(aside, true);
    }
}
