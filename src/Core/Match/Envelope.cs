using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Match;

/// <summary>How far a reason moves the verdict.</summary>
public enum Weight { Note, Work, Clash }

public sealed record Judgement(Weight Weight, Reason Reason);

/// <summary>What has to agree beyond holes and heights: socket, bracket, headers, and whether the board runs without its block.</summary>
public static class Envelope
{
    public static IEnumerable<Judgement> Judge(Board board, Block block)
    {
        if (board.Socket is { } socket && block.Sockets.Count > 0)
        {
            var fit = block.Sockets.FirstOrDefault(s => s.Socket == socket);
            if (fit is null)
                yield return new(Weight.Clash, new("socket", $"The board's socket is {socket}; the block is made for {string.Join(", ", block.Sockets.Select(s => s.Socket))}.", []));
            else if (!string.IsNullOrEmpty(fit.Kit))
                yield return new(Weight.Work, new("socket-kit", $"Socket {socket} needs the upgrade kit {fit.Kit}.", []));
        }
        if (board.Slots is { } have && block.BracketSlots is { } need && need != have)
            yield return new(Weight.Note, new("bracket", $"The bracket changes from {Slots(have)} to {Slots(need)}; the block brings its own.", []));
        foreach (var kind in block.Headers.GroupBy(h => h))
        {
            var free = board.Headers.Count(h => h.Kind == kind.Key);
            if (free < kind.Count())
                yield return new(Weight.Note, new("header", $"The block wants {kind.Count()} {kind.Key} header, the board has {free}: that lead goes elsewhere or stays dark.", []));
        }
        if (!board.UsableWithoutBlock)
            yield return new(Weight.Note, new("not-without-block", "This board may not run without its block: plan the swap in one go.", []));
    }

    private static string Slots(int n) => n == 1 ? "1 slot" : $"{n} slots";
}
