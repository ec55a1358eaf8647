using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Pads.Seating;

namespace FaithfulBracket.Core.Pads;

/// <summary>A memory module between its carriers, under a block that is bolted to their edges.</summary>
/// <param name="Pads">Over its chips.</param>
/// <param name="Materials">Every material that pads name.</param>
/// <param name="BesideW">Heat of the other modules under the same block, W.</param>
public sealed record CarriedModule(
    LaidBlock Laid,
    IReadOnlyList<LaidPad> Pads,
    IReadOnlyDictionary<string, PadMaterial> Materials,
    double BesideW
)
{
    public Board Board => Laid.Board;

    public Block Block => Laid.Block;
}
