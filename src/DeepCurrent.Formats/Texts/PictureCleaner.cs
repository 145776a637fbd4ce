using SkiaSharp;

namespace DeepCurrent.Formats.Texts;

/// <summary>Draws a picture anew, so that nothing but what is seen comes in: no metadata, no scripts, no more points
/// than a page needs.</summary>
public static class PictureCleaner
{
    private const int Widest = 1600,
        Quality = 85;
    private const long MostPoints = 40_000_000;

    /// <returns>PNG where it is see-through, else JPEG; null for what is no picture.</returns>
    public static (byte[] Bytes, string Type)? Clean(byte[] bytes)
    {
        using var data = SKData.CreateCopy(bytes);
        using var codec = SKCodec.Create(data);
        if (codec is null || (long)codec.Info.Width * codec.Info.Height is 0 or > MostPoints)
            return null;
        using var read = SKBitmap.Decode(codec);
        if (read is null)
            return null;
        var share = Math.Min(1.0, Widest / (double)Math.Max(read.Width, read.Height));
        using var drawn =
            share < 1
                ? read.Resize(
                    new SKImageInfo(Math.Max(1, (int)(read.Width * share)), Math.Max(1, (int)(read.Height * share))),
                    new SKSamplingOptions(SKCubicResampler.Mitchell)
                )
                : read.Copy();
        if (drawn is null)
            return null;
        var clear = codec.Info.AlphaType is not SKAlphaType.Opaque;
        using var made = drawn.Encode(clear ? SKEncodedImageFormat.Png : SKEncodedImageFormat.Jpeg, Quality);
        return (made.ToArray(), clear ? "image/png" : "image/jpeg");
    }
}
