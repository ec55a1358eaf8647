using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match;
using FaithfulBracket.Perf;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class FitScanTests
{
    [Theory]
    [InlineData(0)]
    [InlineData(0.1)]
    public void A_scan_gives_the_plain_loops_answers(double sigma)
    {
        var board = Sample.Board(sigma, Sample.Part("C1", PartKind.Capacitor, 35, 0, 5, 5, 2.6));
        var blocks = BlockCrowd.Make(Sample.Block(), 600, 3);
        var scan = FitScan.Run(board, blocks);
        Assert.Contains(scan, e => e.Fit is null);
        Assert.Contains(scan, e => e.Verdict != Verdict.Clashes);
        foreach (var e in scan)
        {
            var f = Fit.Judge(board, e.Block);
            Assert.Equal((f.Verdict, f.Grade, f.Summary, f.ChanceOfSeating), (e.Verdict, e.Grade, e.Summary, e.ChanceOfSeating));
        }
    }
}
