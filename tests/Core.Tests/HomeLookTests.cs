using DeepCurrent.Core.Readings;

namespace Core.Tests;

/// <summary>Which home a reader has, and which pools.</summary>
public sealed class HomeLookTests
{
    [Theory]
    [InlineData(0, HomeLook.Pictures)]
    [InlineData(2, HomeLook.Pictures)]
    [InlineData(3, HomeLook.Words)]
    [InlineData(12, HomeLook.Words)]
    [InlineData(null, HomeLook.Words)]
    public void A_home_goes_by_grade_and_whoever_is_in_none_reads(int? grade, HomeLook look) =>
        HomeLooks.For(grade).ShouldBe(look);

    [Theory]
    [InlineData(PoolShown.None, false, false)]
    [InlineData(PoolShown.Own, true, false)]
    [InlineData(PoolShown.Shared, false, true)]
    [InlineData(PoolShown.Both, true, true)]
    public void A_class_shows_the_pools_it_chose(PoolShown pool, bool own, bool shared) =>
        (pool.HasOwn(), pool.HasShared()).ShouldBe((own, shared));
}
