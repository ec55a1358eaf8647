using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Words.Sockets;

namespace FaithfulBracket.Core.Sockets;

/// <summary>Lid on or lid off, calculated with what lies in the drawer.</summary>
/// <param name="BlockKPerW">The block behind its base, at this flow.</param>
/// <param name="Paste">Id of the paste of the lidded way.</param>
/// <param name="Metal">Id of the liquid metal.</param>
public sealed record DieDecision(
    DirectDieResult Answer,
    double PowerW,
    double BlockKPerW,
    double FlowLPerMin,
    string? Paste,
    string? Metal
)
{
    /// <param name="powerW">Null takes what the processor's parts give.</param>
    /// <exception cref="InputException">A curve, a paste, a metal, the watts or the lid is missing.</exception>
    public static DieDecision Compute(
        Socket socket,
        Board processor,
        Block block,
        Drawer drawer,
        double flowLPerMin,
        double? powerW = null,
        Board? board = null
    )
    {
        var heated = HeightChain.Lid(processor)?.Top() ?? processor.Outline;
        var power = powerW ?? processor.Parts.Sum(p => p.DissipationW);
        var behind =
            BehindBase.KPerW(block, flowLPerMin, heated)
            ?? throw new InputException("block", DieDecisionWords.ThisBlockStatesNoResistance);
        var metal = drawer.Pastes.FirstOrDefault(p => p.Material.LiquidMetal)?.Material;
        var paste = drawer.Pastes.FirstOrDefault(p => !p.Material.LiquidMetal)?.Material;
        if (metal is null || paste is null || power <= 0)
            throw new InputException("block", DieDecisionWords.LayPasteAndLiquidMetal);
        var ask = new DirectDieAsk(
            socket,
            processor,
            block,
            power,
            behind,
            paste.ConductivityWPerMK,
            new(MetalFilm.UsualUm, metal.ConductivityWPerMK),
            Board: board
        );
        return new(DirectDie.Compute(ask), power, behind, flowLPerMin, paste.Id, metal.Id);
    }
}
