using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match.Trace;
using FaithfulBracket.Formats.Documents;
using FaithfulBracket.Instruments;
using FaithfulBracket.Perf;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Photos of the demo board rendered with a camera of known pose.</summary>
public class PhotoTests
{
    private static readonly Boards.Board Dunlin = BoardReader.Read(
        File.ReadAllBytes(Path.Combine(Demo, "boards/dunlin-250-traced.board.json"))
    );

    private static string Demo
    {
        get
        {
            var folder = new DirectoryInfo(AppContext.BaseDirectory);
            while (!Directory.Exists(Path.Combine(folder.FullName, "demo")))
                folder = folder.Parent!;
            return Path.Combine(folder.FullName, "demo");
        }
    }

    private static PhotoScene Scene(int width, double tilt, double turn, double k1, int seed) =>
        new(
            Dunlin,
            new(-70, -215, 0),
            new(30, -75),
            new(width, width * 3 / 4, width * 0.95, 400, tilt, turn, k1),
            seed
        );

    [Theory]
    [InlineData(30, 15, 0)]
    [InlineData(30, 200, -0.08)]
    [InlineData(20, -60, 0.05)]
    public void Every_mark_is_found_named_and_centred(double tilt, double turn, double k1)
    {
        var scene = Scene(1600, tilt, turn, k1, 1);
        var found = MarkFinder.Find(scene.Take());
        Assert.True(found.Count >= 10, $"{found.Count} of 12 marks");
        foreach (var m in found)
        {
            var truth = scene.See(m.XMm - 70, m.YMm - 215, 0) + new Point2(0.5, 0.5);
            Assert.True(
                Math.Abs(m.UPx - truth.X) < 0.6 && Math.Abs(m.VPx - truth.Y) < 0.6,
                $"mark {m.Id} is off by {m.UPx - truth.X:0.00}, {m.VPx - truth.Y:0.00} px"
            );
        }
    }

    [Fact]
    public void Holes_are_recovered_within_a_tenth_of_a_millimetre_at_thirty_degrees()
    {
        // 12 megapixels
        var scene = Scene(4000, 30, 15, -0.06, 2);
        var picture = scene.Take();
        var marks = MarkFinder.Find(picture).Select(m => new TargetMark(m.XMm, m.YMm, m.UPx, m.VPx)).ToList();
        var random = new Random(4);
        var clicks = Dunlin
            .Holes.Select(h =>
            {
                var at = scene.See(h.X, h.Y, 0) + new Point2(0.5, 0.5);
                // a hand clicks within six pixels; the hole's rim draws it in
                var snap = HoleSnap.Find(
                    picture,
                    at.X + 12 * (random.NextDouble() - 0.5),
                    at.Y + 12 * (random.NextDouble() - 0.5),
                    40
                );
                Assert.True(snap.Snapped, h.Id);
                var diameter =
                    snap.DiameterPx * PhotoTrace.MmPerPx(marks, snap.UPx, snap.VPx, picture.Width, picture.Height);
                Assert.True(
                    Math.Abs(diameter - h.DiameterMm) < 0.15,
                    $"{h.Id} is {h.DiameterMm} mm wide, read as {diameter:0.00}"
                );
                return new ClickedPoint(h.Id, snap.UPx, snap.VPx);
            })
            .ToList();
        var traced = PhotoTrace.Run(marks, clicks, picture.Width, picture.Height);
        // the sheet's frame against the board's: best rigid fit, as an installer has no other frame
        var pose = Match.Identify.RigidFit.Of([
            .. traced.Points.Zip(Dunlin.Holes, (t, h) => (new Point2(t.XMm, t.YMm), h.At)),
        ]);
        var rms = Math.Sqrt(
            traced
                .Points.Zip(Dunlin.Holes, (t, h) => Math.Pow((pose.Apply(new Point2(t.XMm, t.YMm)) - h.At).Length, 2))
                .Average()
        );
        Assert.True(rms < 0.10, $"rms {rms:0.000} mm");
    }

    [Fact]
    public void A_picture_without_the_sheet_has_no_marks() =>
        Assert.Empty(
            MarkFinder.Find(
                new PhotoScene(Dunlin, new(-70, 4000, 0), new(30, 0), new(800, 600, 760, 400, 20, 0, 0), 3).Take()
            )
        );
}
