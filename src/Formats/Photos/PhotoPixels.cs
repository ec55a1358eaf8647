using FaithfulBracket.Core.Match.Trace;
using FaithfulBracket.Formats.Words.Photos;
using SkiaSharp;

namespace FaithfulBracket.Formats.Photos;

/// <summary>Pictures as brightness and back.</summary>
public static class PhotoPixels
{
    /// <exception cref="Core.InputException">The picture can't be decoded.</exception>
    public static GreyPicture Grey(byte[] content)
    {
        using var codec = SKCodec.Create(new MemoryStream(content)) ?? throw Broken();
        var info = new SKImageInfo(codec.Info.Width, codec.Info.Height, SKColorType.Gray8, SKAlphaType.Opaque);
        using var bitmap = new SKBitmap(info);
        if (codec.GetPixels(info, bitmap.GetPixels()) is not (SKCodecResult.Success or SKCodecResult.IncompleteInput))
            return ByColour(content);
        return Upright(new(info.Width, info.Height, bitmap.GetPixelSpan().ToArray()), codec.EncodedOrigin);
    }

    /// <summary>Formats that do not decode straight to grey: ITU-R BT.601 weights.</summary>
    private static GreyPicture ByColour(byte[] content)
    {
        using var codec = SKCodec.Create(new MemoryStream(content)) ?? throw Broken();
        using var bitmap = SKBitmap.Decode(codec) ?? throw Broken();
        var grey = new byte[bitmap.Width * bitmap.Height];
        for (var y = 0; y < bitmap.Height; y++)
        {
            for (var x = 0; x < bitmap.Width; x++)
            {
                var c = bitmap.GetPixel(x, y);
                grey[y * bitmap.Width + x] = (byte)((299 * c.Red + 587 * c.Green + 114 * c.Blue) / 1000);
            }
        }
        return Upright(new(bitmap.Width, bitmap.Height, grey), codec.EncodedOrigin);
    }

    private static GreyPicture Upright(GreyPicture stored, SKEncodedOrigin origin)
    {
        if (origin is SKEncodedOrigin.TopLeft or SKEncodedOrigin.Default)
            return stored;
        var (w, h) = (stored.Width, stored.Height);
        var (width, height) = ExifOrientation.IsLying((int)origin) ? (h, w) : (w, h);
        var turned = new byte[stored.Pixels.Length];
        for (var y = 0; y < height; y++)
        for (var x = 0; x < width; x++)
        {
            var (sx, sy) = origin switch
            {
                SKEncodedOrigin.TopRight => (w - 1 - x, y),
                SKEncodedOrigin.BottomRight => (w - 1 - x, h - 1 - y),
                SKEncodedOrigin.BottomLeft => (x, h - 1 - y),
                SKEncodedOrigin.LeftTop => (y, x),
                SKEncodedOrigin.RightTop => (y, h - 1 - x),
                SKEncodedOrigin.RightBottom => (w - 1 - y, h - 1 - x),
                _ => (w - 1 - y, x),
            };
            turned[y * width + x] = stored.Pixels[sy * w + sx];
        }
        return new(width, height, turned);
    }

    /// <summary>A picture that is small enough already is taken as it is, bytes.</summary>
    private const int SmallBytes = 300 * 1024;

    /// <summary>The picture with its longest edge at most so many pixels; null where it cannot be decoded.</summary>
    public static (byte[] Content, string MediaType)? Scaled(byte[] content, int edgePx)
    {
        const int quality = 80;
        using var codec = SKCodec.Create(new MemoryStream(content));
        if (codec is null)
            return null;
        var longest = Math.Max(codec.Info.Width, codec.Info.Height);
        if (longest <= edgePx && content.Length <= SmallBytes)
            return (content, codec.EncodedFormat == SKEncodedImageFormat.Png ? "image/png" : "image/jpeg");
        using var whole = SKBitmap.Decode(codec);
        if (whole is null)
            return null;
        var share = Math.Min(1, edgePx / (double)longest);
        var info = new SKImageInfo(
            Math.Max(1, (int)Math.Round(whole.Width * share)),
            Math.Max(1, (int)Math.Round(whole.Height * share)),
            SKColorType.Rgba8888,
            SKAlphaType.Opaque
        );
        using var scaled = whole.Resize(info, new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear));
        using var image = SKImage.FromBitmap(scaled);
        using var data = image.Encode(SKEncodedImageFormat.Jpeg, quality);
        var small = data.ToArray();
        var turn = (int)codec.EncodedOrigin;
        return (turn > 1 ? [.. small[..2], .. ExifOrientation.Segment(turn), .. small[2..]] : small, "image/jpeg");
    }

    /// <summary>A picture as a JPEG file.</summary>
    public static byte[] Jpeg(GreyPicture picture, int quality = 80)
    {
        using var bitmap = new SKBitmap(
            new SKImageInfo(picture.Width, picture.Height, SKColorType.Gray8, SKAlphaType.Opaque)
        );
        System.Runtime.InteropServices.Marshal.Copy(picture.Pixels, 0, bitmap.GetPixels(), picture.Pixels.Length);
        using var image = SKImage.FromBitmap(bitmap);
        using var data = image.Encode(SKEncodedImageFormat.Jpeg, quality);
        return data.ToArray();
    }

    private static Core.InputException Broken() => new("", PhotoPixelsWords.PictureCantBeDecoded);
}
