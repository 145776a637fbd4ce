using DeepCurrent.Formats.Sounds;

namespace Formats.Tests;

public sealed class SoundFileTests
{
    [Theory]
    [InlineData("52494646 24000000 57415645 666d7420", "audio/wav")]
    [InlineData("4f676753 00020000 00000000 00000000", "audio/ogg")]
    [InlineData("1a45dfa3 9f428681 01428781 01000000", "audio/webm")]
    [InlineData("00000020 66747970 4d344120 00000000", "audio/mp4")]
    [InlineData("49443304 00000000 00000000 00000000", "audio/mpeg")]
    [InlineData("fffb9064 00000000 00000000 00000000", "audio/mpeg")]
    [InlineData("3c68746d 6c3e3c73 63726970 743e0000", null)]
    [InlineData("52494646 24000000 41564920 666d7420", null)]
    [InlineData("4f676753", null)]
    public void A_sound_is_told_by_how_it_begins(string hex, string? type) =>
        SoundFile.TypeOf(Convert.FromHexString(hex.Replace(" ", ""))).ShouldBe(type);
}
