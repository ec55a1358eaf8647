using FaithfulBracket.Core.Geometry;
using FaithfulBracket.Core.Words.Match.Trace;

namespace FaithfulBracket.Core.Match.Trace;

/// <summary>One plane of a photo as it is seen from straight above, true to scale; white where the photo shows none of it.</summary>
/// <param name="MmPerPx">The same in both directions.</param>
/// <param name="CornerMm">Of its top left corner in the target's frame; of the top right one where it is mirrored.</param>
public sealed record FlatPicture(GreyPicture Picture, double MmPerPx, Point2 CornerMm);

/// <summary>Takes the view out of a photo that shows the target, for one plane parallel to it.</summary>
public static class FlatPhoto
{
    private const double FinestMm = 0.15,
        FarthestMm = 320;

    private const int MaxPx = 2600,
        // between these the view is interpolated: over a millimetre it bends by less than a hundredth of a pixel
        Grid = 8;

    private const byte White = 255;

    /// <param name="heightMm">Of the plane above the target.</param>
    /// <param name="fromBelow">Mirrored: what was seen from below lies as it is drawn from above.</param>
    /// <exception cref="InputException">The target is not seen, or the plane lies at the camera.</exception>
    public static FlatPicture Create(
        GreyPicture photo,
        IReadOnlyList<FoundMark> marks,
        double heightMm,
        bool fromBelow,
        CancellationToken cancel = default
    )
    {
        List<TargetMark> target = [.. marks.Select(m => new TargetMark(m.XMm, m.YMm, m.UPx, m.VPx))];
        if (!PhotoTrace.DefineAView(target))
            throw new InputException("", FlatPhotoWords.TargetIsNotSeenWholeBeside);
        var view = PhotoTrace.View(target, photo.Width, photo.Height);
        var focal = PhotoTrace.FocalOf(view, 1, Math.Max(photo.Width, photo.Height)).At(view.Theta);
        var camera = CameraPose.From(view.Theta, focal);
        var raised = heightMm * PhotoView.PerMm / camera.Z;
        if (raised > 0.5)
            throw new InputException("?heightMm", FlatPhotoWords.SoHighPlaneWouldLie);
        var foot = new Point2(camera.X, camera.Y) * (1 / PhotoView.PerMm);
        // what lies higher seems to lie further from the foot of the camera
        Point2 Ground(Point2 p) => (p - foot * raised) * (1 / (1 - raised));
        var bounds = Seen(view, photo, marks, p => p * (1 - raised) + foot * raised);
        var mm = Math.Max(FinestMm, Math.Max(bounds.Width, bounds.Height) / MaxPx);
        var (width, height) = ((int)Math.Ceiling(bounds.Width / mm), (int)Math.Ceiling(bounds.Height / mm));
        var corner = new Point2(bounds.MinX, bounds.MaxY);
        var across = width / Grid + 2;
        var grid = new Point2[across * (height / Grid + 2)];
        Parallel.For(
            0,
            grid.Length,
            new() { CancellationToken = cancel },
            i =>
                grid[i] = view.Shown(
                    Ground(corner + new Point2((i % across * Grid + 0.5) * mm, -(i / across * Grid + 0.5) * mm))
                )
        );
        var pixels = new byte[width * height];
        Parallel.For(
            0,
            height,
            new() { CancellationToken = cancel },
            y =>
            {
                for (var x = 0; x < width; x++)
                {
                    var cell = y / Grid * across + x / Grid;
                    var (s, t) = (x % Grid / (double)Grid, y % Grid / (double)Grid);
                    var at =
                        (grid[cell] * (1 - s) + grid[cell + 1] * s) * (1 - t)
                        + (grid[cell + across] * (1 - s) + grid[cell + across + 1] * s) * t
                        - new Point2(0.5, 0.5);
                    pixels[y * width + (fromBelow ? width - 1 - x : x)] = photo.Inside(at.X, at.Y)
                        ? (byte)Math.Round(photo.At(at.X, at.Y))
                        : White;
                }
            }
        );
        return new(new(width, height, pixels), mm, corner);
    }

    /// <summary>How far the photo reaches on the plane, within arm's length of the target.</summary>
    private static Bounds Seen(
        PhotoView view,
        GreyPicture photo,
        IReadOnlyList<FoundMark> marks,
        Func<Point2, Point2> raised
    )
    {
        const int steps = 12;
        var near = Bounds.From([.. marks.Select(m => new Point2(m.XMm, m.YMm))]);
        var far = near.Grown(FarthestMm);
        var seen = new List<Point2> { new(near.MinX, near.MinY), new(near.MaxX, near.MaxY) };
        for (var i = 0; i <= steps; i++)
        for (var j = 0; j <= steps; j++)
        {
            var p = raised(
                view.Ground(view.Theta, photo.Width * i / (double)steps, photo.Height * j / (double)steps)
                    * (1 / PhotoView.PerMm)
            );
            if (p.X > far.MinX && p.X < far.MaxX && p.Y > far.MinY && p.Y < far.MaxY)
                seen.Add(p);
        }
        return Bounds.From(seen);
    }
}
