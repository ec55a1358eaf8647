namespace FaithfulBracket.Core.Paste;

/// <summary>How far each cell of a film lies from the paste's rim: two sweeps of a chamfer (Borgefors 1986).</summary>
internal static class RimDistance
{
    /// <summary>Steps beside and across that come nearest to true distances.</summary>
    private const double Straight = 0.95509,
        Diagonal = 1.36930;

    /// <returns>Mm; 0 where a cell is not full.</returns>
    public static double[] Compute(FilmGrid film)
    {
        var (columns, rows) = (film.Columns, film.Rows);
        var r = new double[film.Count];
        for (var i = 0; i < r.Length; i++)
            r[i] = film.Full(i) ? double.MaxValue / 4 : 0;
        double At(int x, int y) => x < 0 || y < 0 || x >= columns || y >= rows ? 0 : r[y * columns + x];
        for (var pass = 0; pass < 2; pass++)
        {
            for (var k = 0; k < r.Length; k++)
            {
                var i = pass == 0 ? k : r.Length - 1 - k;
                if (r[i] == 0)
                    continue;
                int x = i % columns,
                    y = i / columns,
                    s = pass == 0 ? -1 : 1;
                var beside = Math.Min(Math.Min(At(x - 1, y), At(x + 1, y)), Math.Min(At(x, y - 1), At(x, y + 1)));
                var across = Math.Min(At(x + s, y + s), At(x - s, y + s));
                r[i] = Math.Min(r[i], Math.Min(beside + Straight, across + Diagonal));
            }
        }
        for (var i = 0; i < r.Length; i++)
            r[i] *= film.CellMm;
        return r;
    }
}
