using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Match.Trace;
using FaithfulBracket.Formats.Documents;
using FaithfulBracket.Formats.Photos;
using FaithfulBracket.Instruments;
using FaithfulBracket.Perf;
using Xunit;

namespace FaithfulBracket.Core.Tests;

/// <summary>Photos of the demo board rendered with a camera of known pose.</summary>
public class PhotoTests
{
    private static readonly Boards.Board Dunlin = BoardReader.Read(
        File.ReadAllBytes(Path.Combine(Sample.Demo, "boards/dunlin-250-traced.board.json"))
    );

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

    /// <summary>Where the stored top left corner stands in the upright picture (Exif 2.32, tag 0x0112).</summary>
    [Theory]
    [InlineData(1, false, false)]
    [InlineData(2, true, false)]
    [InlineData(3, true, true)]
    [InlineData(4, false, true)]
    [InlineData(5, false, false)]
    [InlineData(6, true, false)]
    [InlineData(7, true, true)]
    [InlineData(8, false, true)]
    public void A_picture_stored_lying_is_kept_upright_without_where_it_was_taken(byte way, bool right, bool bottom)
    {
        var stored = new byte[64 * 32];
        for (var i = 0; i < stored.Length; i++)
            stored[i] = (byte)(i % 64 < 16 && i / 64 < 16 ? 255 : 0);
        var jpeg = PhotoPixels.Jpeg(new(64, 32, stored), 95);
        byte[] exif =
        [
            .. "Exif\0\0II*\0"u8,
            .. (ReadOnlySpan<byte>)[8, 0, 0, 0, 2, 0, 0x0F, 1, 2, 0, 4, 0, 0, 0],
            .. "here"u8,
            .. (ReadOnlySpan<byte>)[0x12, 1, 3, 0, 1, 0, 0, 0, way, 0, 0, 0, 0, 0, 0, 0],
        ];
        var kept = PhotoIntake.Read([.. jpeg[..2], 0xFF, 0xE1, 0, (byte)(exif.Length + 2), .. exif, .. jpeg[2..]])!;
        Assert.DoesNotContain("here", System.Text.Encoding.Latin1.GetString(kept.Content), StringComparison.Ordinal);
        var grey = PhotoPixels.Grey(kept.Content);
        Assert.Equal(way >= 5 ? (32, 64) : (64, 32), (grey.Width, grey.Height));
        Assert.Equal((grey.Width, grey.Height), (kept.WidthPx, kept.HeightPx));
        bool Bright(int x, int y) => grey.Pixels[y * grey.Width + x] > 128;
        Assert.Equal(
            (right, bottom),
            (
                Bright(grey.Width - 4, 4) || Bright(grey.Width - 4, grey.Height - 4),
                Bright(4, grey.Height - 4) || Bright(grey.Width - 4, grey.Height - 4)
            )
        );
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
        var pose = Match.Identify.RigidFit.Fit([
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

    /// <summary>
    /// Taken upright, holes lie where they are and tops of parts too where their height is told; from below all is
    /// mirrored.
    /// </summary>
    [Theory]
    [InlineData(30, 15, -0.06, false)]
    [InlineData(24, -70, 0, true)]
    public void A_plane_of_a_photo_is_true_to_scale_at_its_own_height(double tilt, double turn, double k1, bool below)
    {
        var scene = Scene(2400, tilt, turn, k1, 3);
        var photo = scene.Take();
        var marks = MarkFinder.Find(photo);
        FlatPicture At(double heightMm) => FlatPhoto.Create(photo, marks, heightMm, below);
        // the sheet lies at (-70, -215) of the board
        Point2 Px(FlatPicture f, double x, double y)
        {
            var across = (x + 70 - f.CornerMm.X) / f.MmPerPx;
            return new(below ? f.Picture.Width - across : across, (f.CornerMm.Y - y - 215) / f.MmPerPx);
        }
        var flat = At(0);
        foreach (var h in Dunlin.Holes)
        {
            var at = Px(flat, h.X, h.Y);
            var snap = HoleSnap.Find(flat.Picture, at.X, at.Y, 30);
            Assert.True(snap.Snapped, h.Id);
            var miss = (new Point2(snap.UPx, snap.VPx) - at).Length * flat.MmPerPx;
            Assert.True(miss < 0.15, $"{h.Id} lies {miss:0.00} mm beside its place");
        }
        // a top is dark to its edge and no further
        var top = Dunlin.Parts.Where(p => p.Kind == Boards.PartKind.Memory).MaxBy(p => p.HeightMm)!;
        var raised = At(top.HeightMm);
        var b = top.Top().Bounds;
        foreach (
            var (x, y, dx, dy) in ((double, double, int, int)[])
                [(b.MinX, (b.MinY + b.MaxY) / 2, -1, 0), (b.MaxX, (b.MinY + b.MaxY) / 2, 1, 0)]
        )
        {
            double Shade(double out_) =>
                Px(raised, x + dx * out_, y + dy * out_) is var p ? raised.Picture.At(p.X - 0.5, p.Y - 0.5) : 0;
            Assert.True(Shade(0.5) - Shade(-0.5) > 20, $"edge at {x}: {Shade(-0.5):0} in, {Shade(0.5):0} out");
        }
        Assert.Throws<InputException>(() => FlatPhoto.Create(photo, [.. marks.Take(3)], 0, below));
        Assert.Throws<InputException>(() => At(350));
    }
}
