namespace FaithfulBracket.Core.Pads.Cutting;

/// <summary>An axis-parallel piece of sheet, lower left corner at x, y, mm.</summary>
internal readonly record struct Rect(double X, double Y, double W, double H)
{
    public double Area => W * H;
}

/// <summary>A node of the cutting tree: cut in two, a piece, or free.</summary>
internal sealed class CutNode(Rect rect)
{
    public Rect Rect { get; } = rect;
    public int Piece { get; set; } = -1;
    public bool Rotated { get; set; }
    public CutNode? First { get; private set; }
    public CutNode? Second { get; private set; }
    public char Axis { get; private set; }
    public double At { get; private set; }

    /// <summary>Cuts along x = at (axis x) or y = at (axis y); the first half is the lower one.</summary>
    public void CutAt(char axis, double at)
    {
        (Axis, At) = (axis, at);
        (First, Second) =
            axis == 'x'
                ? (
                    new CutNode(Rect with { W = at - Rect.X }),
                    new CutNode(new(at, Rect.Y, Rect.X + Rect.W - at, Rect.H))
                )
                : (
                    new CutNode(Rect with { H = at - Rect.Y }),
                    new CutNode(new(Rect.X, at, Rect.W, Rect.Y + Rect.H - at))
                );
    }

    /// <summary>Lays a piece in the lower left corner; the cut across the sheet comes first along <paramref name="firstAxis"/>.</summary>
    public IEnumerable<CutNode> Lay(int piece, double w, double h, bool rotated, char firstAxis)
    {
        var node = this;
        var free = new List<CutNode>(2);
        foreach (var axis in firstAxis == 'x' ? "xy" : "yx")
        {
            var (size, have, from) = axis == 'x' ? (w, node.Rect.W, node.Rect.X) : (h, node.Rect.H, node.Rect.Y);
            if (have - size <= CutPlanner.Epsilon)
                continue;
            node.CutAt(axis, from + size);
            free.Add(node.Second!);
            node = node.First!;
        }
        node.Piece = piece;
        node.Rotated = rotated;
        return free;
    }
}
