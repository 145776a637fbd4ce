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
        HomeLooks.For(grade, null).ShouldBe(look);

    [Theory]
    [InlineData(1, HomeLook.Words)]
    [InlineData(9, HomeLook.Pictures)]
    public void A_teacher_chooses_otherwise_for_one_reader(int grade, HomeLook own) =>
        HomeLooks.For(grade, own).ShouldBe(own);

    [Fact]
    public void A_pool_of_a_class_grows_with_every_class_all_year_and_is_never_fuller_than_it_can_show()
    {
        Pools.Together(0, 24).ShouldBe(0);
        Pools.Together(1, 24).ShouldBe(1, "the first text is seen");
        Pools.Together(17, 5).ShouldBe(17);
        Pools.Together(240, 24).ShouldBe(60);
        Pools.Together(9000, 30).ShouldBe(Pools.Most);
        foreach (var texts in Enumerable.Range(0, 600))
            Pools.Together(texts + 1, 24).ShouldBeGreaterThanOrEqualTo(Pools.Together(texts, 24));
    }

    [Theory]
    [InlineData(PoolShown.None, false, false)]
    [InlineData(PoolShown.Own, true, false)]
    [InlineData(PoolShown.Shared, false, true)]
    [InlineData(PoolShown.Both, true, true)]
    public void A_class_shows_the_pools_it_chose(PoolShown pool, bool own, bool shared) =>
        (pool.HasOwn(), pool.HasShared()).ShouldBe((own, shared));
}
