using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Words.Kit;

namespace FaithfulBracket.Core.Kit;

/// <summary>Which jet plate lies in the caliper.</summary>
/// <param name="Name">Null where it is none of the block's.</param>
/// <param name="Right">Whether it is the one for this socket.</param>
public sealed record JetPlateText(double MeasuredMm, string? Name, bool Right, Message Text);

/// <summary>Tells unmarked jet plates apart by their thickness.</summary>
public static class JetPlates
{
    /// <summary>What a caliper and a plate's own tolerance make together, mm.</summary>
    public const double WithinMm = 0.06;

    /// <param name="block">With every kit it is sold with.</param>
    /// <param name="nameOf">A socket as it is called.</param>
    public static JetPlateText Tell(Block block, string socket, double measuredMm, Func<string, string>? nameOf = null)
    {
        var known = block
            .Sockets.Where(s => s is { JetPlate: not null, JetPlateMm: not null })
            .OrderBy(s => Math.Abs(s.JetPlateMm!.Value - measuredMm))
            .ToList();
        var nearest = known.Find(s => Math.Abs(s.JetPlateMm!.Value - measuredMm) <= WithinMm);
        if (nearest is null)
            return new(measuredMm, null, false, JetPlatesWords.IsNotJetPlate(measuredMm));
        var right = known.Exists(s => s.Socket == socket && s.JetPlateMm == nearest.JetPlateMm);
        return new(
            measuredMm,
            nearest.JetPlate,
            right,
            right
                ? JetPlatesWords.RightOne(measuredMm, nearest.JetPlate)
                : JetPlatesWords.MadeForSocket(
                    measuredMm,
                    nearest.JetPlate,
                    nameOf?.Invoke(nearest.Socket) ?? nearest.Socket
                )
        );
    }
}
