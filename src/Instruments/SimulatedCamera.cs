using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Match.Trace;

namespace FaithfulBracket.Instruments;

/// <summary>A camera that sees a given board lying beside the printed target, each time from a slightly different place.</summary>
/// <param name="board">What lies on the bench.</param>
/// <param name="encode">Picture to file.</param>
public sealed class SimulatedCamera(Board board, Func<GreyPicture, byte[]> encode, int seed) : ICamera
{
    private readonly Random _hand = new(seed);
    private readonly Lock _gate = new();

    public string Name => "simulated camera";

    public Task<byte[]> ShootAsync(CancellationToken cancel)
    {
        double tilt,
            turn;
        int noise;
        lock (_gate)
            (tilt, turn, noise) = (18 + 14 * _hand.NextDouble(), -15 + 30 * _hand.NextDouble(), _hand.Next());
        var b = board.Outline.Bounds;
        // the sheet lies below the board; the camera looks between the two
        var middle = (b.MinX + b.MaxX) / 2;
        var scene = new PhotoScene(
            board,
            new(middle - TargetSheet.WidthMm / 2, b.MinY - TargetSheet.DepthMm - 12, 0),
            new(middle, b.MinY - 30),
            new(1600, 1200, 1520, 430, tilt, turn, -0.04),
            noise
        );
        return Task.Run(() => encode(scene.Take()), cancel);
    }
}
