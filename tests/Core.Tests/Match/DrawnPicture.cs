using FaithfulBracket.Core.Match.Trace;

namespace FaithfulBracket.Core.Tests;

/// <summary>A picture drawn pixel by pixel, each the mean of many places in it.</summary>
internal static class DrawnPicture
{
    /// <param name="light">By place, from the centre of the first pixel.</param>
    public static GreyPicture Of(int width, int height, Func<double, double, double> light, int fine = 12)
    {
        var pixels = new byte[width * height];
        for (var y = 0; y < height; y++)
        for (var x = 0; x < width; x++)
        {
            double sum = 0;
            for (var k = 0; k < fine * fine; k++)
                sum += light(x - 0.5 + (k % fine + 0.5) / fine, y - 0.5 + (k / fine + 0.5) / fine);
            pixels[y * width + x] = (byte)Math.Clamp(Math.Round(sum / (fine * fine)), 0, 255);
        }
        return new(width, height, pixels);
    }

    /// <summary>Whether a place lies in an ellipse, its longer axis turned from u to v.</summary>
    public static bool In(double x, double y, double u, double v, double a, double b, double turn = 0)
    {
        double dx = x - u,
            dy = y - v,
            p = (Math.Cos(turn) * dx + Math.Sin(turn) * dy) / a,
            q = (Math.Cos(turn) * dy - Math.Sin(turn) * dx) / b;
        return p * p + q * q <= 1;
    }
}
