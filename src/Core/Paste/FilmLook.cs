namespace FaithfulBracket.Core.Paste;

/// <summary>A film as it is told: rows of signs, bare places by name.</summary>
internal static class FilmLook
{
    /// <summary>Cells along the longer side of a frame.</summary>
    private const int FrameCells = 48;

    /// <summary>Less of the face than this is not told as bare.</summary>
    private const double MinBare = 0.0005;

    private static readonly string[] Ninths =
    [
        "lower left",
        "lower edge",
        "lower right",
        "left edge",
        "middle",
        "right edge",
        "upper left",
        "upper edge",
        "upper right",
    ];

    public static FilmFrame Frame(FilmGrid film, double timeS)
    {
        var every = Math.Max(1, (Math.Max(film.Columns, film.Rows) + FrameCells - 1) / FrameCells);
        return new(timeS, film.GapMm * 1000, film.Coverage(), Rows(film, every));
    }

    /// <summary>Rows from −y to +y: # wet, + partly, . bare, space off the face; the middle one of so many cells each.</summary>
    public static IReadOnlyList<string> Rows(FilmGrid film, int every = 1)
    {
        int Middle(int k, int of) => Math.Min(of - 1, k * every + every / 2);
        int Score(int of) => (of + every - 1) / every;
        return
        [
            .. Enumerable
                .Range(0, Score(film.Rows))
                .Select(y =>
                    string.Concat(
                        Enumerable
                            .Range(0, Score(film.Columns))
                            .Select(x => Sign(film, Middle(y, film.Rows) * film.Columns + Middle(x, film.Columns)))
                    )
                ),
        ];
    }

    private static char Sign(FilmGrid film, int i) =>
        !film.Face[i] ? ' '
        : film.Wet(i) > 0.95 ? '#'
        : film.Wet(i) > 0.1 ? '+'
        : '.';

    /// <summary>Bare ninths of the face by name, the barest first.</summary>
    public static IReadOnlyList<BareSpot> Bare(FilmGrid film)
    {
        var bare = new double[Ninths.Length];
        var face = 0;
        for (var i = 0; i < film.Count; i++)
        {
            if (!film.Face[i])
                continue;
            face++;
            int column = 3 * (i % film.Columns) / film.Columns,
                row = 3 * (i / film.Columns) / film.Rows;
            bare[3 * row + column] += 1 - film.Wet(i);
        }
        return
        [
            .. bare.Select((b, k) => new BareSpot(Ninths[k], b / face))
                .Where(b => b.ShareOfFace > MinBare)
                .OrderByDescending(b => b.ShareOfFace),
        ];
    }
}
