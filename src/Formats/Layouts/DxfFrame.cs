using FaithfulBracket.Core.Geometry;

namespace FaithfulBracket.Formats.Layouts;

/// <summary>How the entities of a DXF drawing lie in what holds them.</summary>
internal static class DxfFrame
{
    /// <summary>An entity that is drawn from behind (extrusion 0, 0, -1) has its x turned about.</summary>
    public static DrawnFrame For(this DrawnFrame frame, DxfEntity e) =>
        e.Number(230, 1) < 0 ? frame with { X = frame.X * -1 } : frame;

    /// <summary>The frame of what a block holds, inserted by <paramref name="e"/> and moved by one place of its array.</summary>
    public static DrawnFrame Insert(this DrawnFrame frame, DxfEntity e, Point2 basePoint, Point2 step)
    {
        var own = frame.For(e);
        var turn = e.Number(50, 0) * Math.PI / 180;
        Point2 V(double x, double y) => own.At(new Point2(x, y).Turned(turn)) - own.Origin;
        var (x, y) = (V(e.Number(41, 1), 0), V(0, e.Number(42, 1)));
        var at = own.At(new(e.Number(10), e.Number(20))) + V(step.X, step.Y);
        return new(x, y, at - x * basePoint.X - y * basePoint.Y);
    }
}
