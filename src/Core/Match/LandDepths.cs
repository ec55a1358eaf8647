using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Blocks.Depths;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Materials;
using FaithfulBracket.Core.Words.Blocks.Assumed;
using FaithfulBracket.Core.Words.Match;

namespace FaithfulBracket.Core.Match;

/// <summary>What was read of one land; null where it was not. mm.</summary>
/// <param name="GaugeMm">From the straight edge down to the land.</param>
/// <param name="LeftMm">Of a pad pressed at home, measured afterwards.</param>
/// <param name="PadMm">Pad that the manual gives for it.</param>
/// <param name="Material">Of that pad.</param>
public sealed record LandReading(double? GaugeMm, double? LeftMm, double? PadMm, PadMaterial? Material);

/// <summary>Readings of a block's lands, against the board that it is described for.</summary>
public static class LandDepths
{
    /// <summary>Parts under one land that differ by more than this are not equally high, mm.</summary>
    private const double SameHeightMm = 0.1;

    /// <param name="dieReadingMm">From the straight edge down to the die land; null where it was not read.</param>
    /// <exception cref="InputException">Something that a reading needs is not known.</exception>
    public static IReadOnlyList<StepDepth> Compute(
        Board board,
        Block block,
        double? dieReadingMm,
        IReadOnlyDictionary<string, LandReading> readings
    )
    {
        var die =
            board.Parts.Where(p => p is { Kind: PartKind.Die, Face: Face.Front }).MaxBy(p => p.WidthMm * p.DepthMm)
            ?? throw new InputException("/board", LandDepthsWords.BoardHasNoDieOnFront);
        if (die.HeightUnknown)
            throw new InputException("/board", AssumedBlockWords.NobodyHasMeasuredHowHighDie(die.Id));
        var frame = new DepthFrame(die.HeightMm, Sigma(die));
        var parts = LaidBlock.Create(board, block).Pairings().ToLookup(p => p.Land.Id, p => p.Part);
        var known = block.Plates.SelectMany(p => p.Lands).Select(l => l.Id).ToHashSet();
        var sources = new List<DepthReading>();
        foreach (var (land, reading) in readings)
        {
            var at = $"/readings/lands/{land}";
            if (!known.Contains(land))
                throw new InputException(at, LandDepthsWords.BlockHasNoSuchLand);
            if (reading.GaugeMm is { } gauge)
                sources.Add(
                    DepthReading.Gauge(
                        land,
                        gauge,
                        dieReadingMm
                            ?? throw new InputException("/readings/dieReadingMm", LandDepthsWords.ReadDownToDieLand)
                    )
                );
            if (reading.LeftMm is { } left)
            {
                var part = Under(parts[land], $"{at}/leftMm");
                sources.Add(DepthReading.Impression(frame, land, left, 0, part.HeightMm, partSigmaMm: Sigma(part)));
            }
            if (reading is { PadMm: { } pad, Material: { } material })
            {
                var part = Under(parts[land], $"{at}/padMm");
                sources.Add(
                    DepthReading.Manual(
                        frame,
                        land,
                        pad,
                        material.SquashMin,
                        material.SquashMax,
                        part.HeightMm,
                        Sigma(part)
                    )
                );
            }
        }
        return StepDepths.Compute(frame, sources);
    }

    /// <summary>Heights in documents are known to three standard deviations; of one without any, as well as a caliper tells.</summary>
    private static double Sigma(Part part) =>
        part.HeightTolMm > 0 ? part.HeightTolMm / 3 : DepthFrame.UsualHeightSigmaMm;

    private static Part Under(IEnumerable<Part> parts, string at)
    {
        List<Part> under = [.. parts];
        if (under.Count == 0 || under.Exists(p => p.HeightUnknown))
            throw new InputException(at, LandDepthsWords.NobodyHasMeasuredHowHighPart);
        if (under.Max(p => p.HeightMm) - under.Min(p => p.HeightMm) > SameHeightMm)
            throw new InputException(at, LandDepthsWords.PartsUnderThisLand);
        return under[0];
    }
}
