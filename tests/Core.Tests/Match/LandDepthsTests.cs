using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Blocks.Assumed;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Formats.Documents;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Readings of lands against the board that the block is for.</summary>
public class LandDepthsTests
{
    private static readonly Boards.Board Tern = BoardReader.Read(
        File.ReadAllBytes(Path.Combine(Sample.Demo, "boards/tern-460-r2.board.json"))
    );

    private static readonly Block Begun = AssumedBlock.For(Tern, new("x", "Q", "W", BlockKind.FullCover, false));

    private static Blocks.Depths.StepDepth Step(string land, LandReading reading, Boards.Board? board = null) =>
        Assert.Single(
            LandDepths.Compute(board ?? Tern, Begun, 3, new Dictionary<string, LandReading> { [land] = reading })
        );

    /// <summary>
    /// engine: gauge 2.79 against 3.00; an impression of 0.66 under memory of 1.2 against a die of 2.1 with 0.03 of
    /// film; a 1.0 pad at 10 to 45 % squash leaves 0.725 in the middle.
    /// </summary>
    [Fact]
    public void Each_way_of_reading_gives_its_step()
    {
        var (die, memory) = (Tern.FindPart("U1")!.HeightMm, Tern.FindPart("M1")!.HeightMm);
        Assert.Equal(-0.21, Step("L-M1-M2", new(2.79, null, null, null)).StepMm, 9);
        var left = Step("L-M1-M2", new(null, 0.66, null, null));
        Assert.Equal(0.66 + memory - die - 0.03, left.StepMm, 9);
        Assert.Equal(FigureGrade.Measured, left.Evidence);
        var manual = Step("L-M1-M2", new(null, null, 1, Sample.Soft));
        Assert.Equal(0.725 + memory - die - 0.03, manual.StepMm, 9);
        Assert.Equal(FigureGrade.Manual, manual.Evidence);
        Assert.Equal(3 * manual.SigmaMm, manual.StepTolMm, 12);
    }

    [Fact]
    public void What_is_not_known_is_asked_for()
    {
        string Refused(Action act) => Assert.Throws<InputException>(act).Faults[0].Field;
        var gauge = new Dictionary<string, LandReading> { ["L-M1-M2"] = new(2.79, null, null, null) };
        Assert.Equal("/readings/dieReadingMm", Refused(() => LandDepths.Compute(Tern, Begun, null, gauge)));
        Boards.Board With(string part, Func<Boards.Part, Boards.Part> how) =>
            Tern with
            {
                Parts = [.. Tern.Parts.Select(p => p.Id == part ? how(p) : p)],
            };
        var left = new LandReading(null, 0.7, null, null);
        Assert.Equal(
            "/readings/lands/L-M1-M2/leftMm",
            Refused(() => Step("L-M1-M2", left, With("M2", p => p with { HeightMm = p.HeightMm + 0.4 })))
        );
        Assert.Equal(
            "/readings/lands/L-M1-M2/leftMm",
            Refused(() => Step("L-M1-M2", left, With("M1", p => p with { HeightUnknown = true })))
        );
        Assert.Equal("/board", Refused(() => Step("L-M1-M2", left, With("U1", p => p with { HeightUnknown = true }))));
    }
}
