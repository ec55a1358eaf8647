using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Bench;

/// <summary>
/// Boards of one card that hang together: by a stock piece that is screwed to several of them, or by a block that lies on
/// several. Whoever turns one turns all.
/// </summary>
internal static class Packets
{
    /// <summary>The boards that hang together with one, itself first.</summary>
    public static IReadOnlyList<string> Of(Scene scene, BenchState state, string board)
    {
        if (IsFlipped(scene, board) is null)
            return [board];
        List<string> found = [board];
        for (var i = 0; i < found.Count; i++)
            found.AddRange(
                Joints(scene, state)
                    .Where(j => j.Contains(found[i]))
                    .SelectMany(j => j)
                    .Where(b => !found.Contains(b) && IsFlipped(scene, b) is not null)
                    .Distinct()
            );
        return found;
    }

    /// <summary>The face of another board of the packet that is up while this face of this one is.</summary>
    public static Face FaceOf(Scene scene, string board, Face up, string other) =>
        IsFlipped(scene, board) == IsFlipped(scene, other) ? up
        : up == Face.Front ? Face.Back
        : Face.Front;

    /// <summary>The state in which this face of a board is up, and with it what hangs together with it.</summary>
    public static BenchState Lay(Scene scene, BenchState state, string board, Face up) =>
        state with
        {
            Up = state.Up.SetItems(
                Of(scene, state, board).Select(b => KeyValuePair.Create(b, FaceOf(scene, board, up, b)))
            ),
        };

    /// <summary>Boards under one block that lie otherwise than they would have to for a board that joins them.</summary>
    /// <param name="up">The face of the board that is up as it joins them.</param>
    public static IEnumerable<string> Against(Scene scene, BenchState state, string block, string board, Face up) =>
        IsFlipped(scene, board) is null
            ? []
            : scene
                .OwnedBy(block)
                .Where(t => t.Id.Kind == ThingKind.Plate && t.Board != board && state.Is(t.Id, Condition.On))
                .Select(t => t.Board)
                .OfType<string>()
                .Distinct()
                .Where(b =>
                    IsFlipped(scene, b) is not null
                    && state.Up.TryGetValue(b, out var lies)
                    && lies != FaceOf(scene, board, up, b)
                );

    /// <summary>
    /// Boards whose last joint is set aside while a ribbon between them stays plugged are opened over it like a book: the
    /// faces that lay inside are up.
    /// </summary>
    public static BenchState Opened(Scene scene, BenchState state, SceneThing piece)
    {
        var boards = BoardsOf(scene, piece).ToHashSet();
        var tied =
            boards.Count > 1
                ? scene
                    .Things.Where(t => t.Id.Kind == ThingKind.Ribbon && state.Is(t.Id, Condition.Plugged))
                    .Select(r => r.Holds.Where(h => h.Kind == ThingKind.Board).Select(h => h.Owner).ToList())
                    .Where(r => r.Count > 1 && r.TrueForAll(boards.Contains))
                    .SelectMany(r => r)
                    .Distinct()
                : [];
        return state with { Up = state.Up.SetItems(tied.Select(b => KeyValuePair.Create(b, Face.Front))) };
    }

    private static IEnumerable<string> BoardsOf(Scene scene, SceneThing piece) =>
        scene.ScrewsOf(piece.Id).Select(s => s.Board).OfType<string>().Distinct();

    private static bool? IsFlipped(Scene scene, string board) => scene.Find(new(ThingKind.Board, board))?.Flipped;

    /// <summary>The boards that each piece or block in its place joins.</summary>
    private static IEnumerable<IReadOnlyList<string>> Joints(Scene scene, BenchState state) =>
        scene
            .Things.Where(t => t.Id.Kind == ThingKind.Piece && state.Is(t.Id, Condition.On))
            .Select(t => (IReadOnlyList<string>)[.. BoardsOf(scene, t)])
            .Concat(
                scene
                    .Things.Where(t => t.Id.Kind == ThingKind.Plate && state.Is(t.Id, Condition.On))
                    .GroupBy(t => t.Id.Owner)
                    .Select(g => (IReadOnlyList<string>)[.. g.Select(t => t.Board).OfType<string>().Distinct()])
            )
            .Where(j => j.Count > 1);
}
