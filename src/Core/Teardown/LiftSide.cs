using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Words.Teardown;

namespace FaithfulBracket.Core.Teardown;

/// <summary>From which side a piece is lifted, and where no lever may be set.</summary>
internal static class LiftSide
{
    /// <summary>Parts nearer than this to the board's edge stand where a lever would go, mm.</summary>
    private const double LeverMm = 5;
    private const double TellingMm = 5;

    /// <summary>Advice from where the leads leave the board and what stands at its edges.</summary>
    public static IEnumerable<Message> Advice(Board board, Piece piece, IReadOnlyList<Lead> leads, bool glued)
    {
        var b = board.Outline.Bounds;
        double cx = (b.MinX + b.MaxX) / 2,
            cy = (b.MinY + b.MaxY) / 2;
        var at = leads.Where(l => l.At is not null).Select(l => l.At!.Value).ToList();
        if (at.Count > 0)
        {
            double x = at.Average(p => p.X) - cx,
                y = at.Average(p => p.Y) - cy;
            var side =
                Math.Abs(x) >= Math.Abs(y)
                    ? Math.Abs(x) < TellingMm
                        ? null
                        : x > 0
                            ? "left"
                            : "right"
                    : Math.Abs(y) < TellingMm
                        ? null
                        : y > 0
                            ? "lower"
                            : "upper";
            yield return side is null
                ? LiftSideWords.LiftEvenlyLeadsLeaveInMiddle
                : LiftSideWords.OpenItLikeBookAtEdge(side);
        }
        else if (leads.Count > 0)
            yield return LiftSideWords.LiftOnSideAwayFromLeads;
        if (leads.Where(l => l.SlackMm is < 50).MinBy(l => l.SlackMm) is { } shortest)
            yield return LiftSideWords.LeadHasOnlyOfSlack(shortest.Name, shortest.SlackMm);
        if (!glued)
            yield break;
        (string Name, Func<Part, double> From)[] edges =
        [
            ("left", p => p.Top().Bounds.MinX - b.MinX),
            ("right", p => b.MaxX - p.Top().Bounds.MaxX),
            ("lower", p => p.Top().Bounds.MinY - b.MinY),
            ("upper", p => b.MaxY - p.Top().Bounds.MaxY),
        ];
        foreach (var (name, from) in edges)
        {
            var near = board
                .Parts.Where(p =>
                    p.Face == piece.Face
                    && p.Kind is PartKind.Capacitor or PartKind.Other or PartKind.Controller
                    && from(p) < LeverMm
                )
                .Select(p => p.Id)
                .ToList();
            if (near.Count > 0)
                yield return LiftSideWords.NoLeverAtEdge(
                    name,
                    string.Join(", ", near.Take(4)),
                    near.Count > 4 ? " and more" : "",
                    near.Count == 1 ? "stands" : "stand"
                );
        }
    }
}
