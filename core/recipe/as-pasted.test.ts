import { describe, expect, it } from 'vitest'
import type { Family } from '../balance/families'
import { answer } from '../contract/handle'
import type { Region } from '../measure/region'
import type { Role } from './recipe'

interface Pasted {
  region: Region
  /** General ratios, in the many ways in which pages and notebooks set them out. */
  text: string
  /** What a baker would call it. */
  family: Family
  roles: Role[]
  /** Ingredients of each part. */
  lines: number[]
  /** How many of which shape, where the text says it. */
  tin?: string
  /** °C and the most minutes, where the text says it. */
  oven?: [number, number]
}

const PASTED: Pasted[] = [
  {
    region: 'uk',
    text: `Seafront sandwich cake
225 g butter, softened, plus extra for greasing
225 g caster sugar
4 large eggs
225 g self-raising flour
2 level tsp baking powder

For the filling
4 tbsp strawberry jam
icing sugar, for dusting

Method
1. Preheat the oven to 180C/160C fan/gas 4. Grease and line two 20cm sandwich tins.
2. Measure all the ingredients into a large bowl and beat until well blended.
3. Divide between the tins and bake for about 25 minutes until well risen and the tops spring back.
4. Leave to cool, then sandwich with the jam and dust with icing sugar.`,
    family: 'butter-layer',
    roles: ['batter', 'filling'],
    lines: [5, 2],
    tin: '2 round',
    oven: [180, 25],
  },
  {
    region: 'us',
    text: `Yellow layer cake
Ingredients
2 1/2 cups all-purpose flour
2 1/2 teaspoons baking powder
1/2 teaspoon salt
3/4 cup (1 1/2 sticks) unsalted butter, at room temperature
1 3/4 cups granulated sugar
4 large eggs
1 tablespoon vanilla extract
1 1/4 cups whole milk
Instructions
Preheat oven to 350°F. Butter two 9-inch round pans.
Whisk flour, baking powder and salt.
Beat butter and sugar until light and fluffy, 4 minutes. Beat in eggs one at a time, then vanilla.
Add flour mixture in three parts, alternating with milk.
Bake 30 to 35 minutes.`,
    family: 'butter-layer',
    roles: ['batter'],
    lines: [8],
    tin: '2 round',
    oven: [177, 35],
  },
  {
    region: 'us',
    text: `One-bowl chocolate cake
1 3/4 cups all-purpose flour
2 cups sugar
3/4 cup unsweetened cocoa powder
2 teaspoons baking soda
1 teaspoon baking powder
1 teaspoon salt
1 cup buttermilk
1/2 cup vegetable oil
2 large eggs
1 teaspoon vanilla
1 cup hot coffee
Bake at 350 F for 35 minutes in two 9 inch round pans.`,
    family: 'oil-layer',
    roles: ['batter'],
    lines: [11],
    tin: '2 round',
    oven: [177, 35],
  },
  {
    region: 'us',
    text: `Carrot cake
2 cups all-purpose flour
2 tsp baking soda
1 tsp baking powder
1/2 tsp salt
2 tsp ground cinnamon
1 1/4 cups vegetable oil
1 cup granulated sugar
1 cup packed light brown sugar
4 large eggs
1 tsp vanilla extract
3 cups grated carrots
1 cup chopped pecans
1/2 cup raisins

Cream cheese frosting
8 oz cream cheese, softened
1/2 cup butter, softened
4 cups powdered sugar
1 tsp vanilla

Directions
Whisk the oil and sugars, add the eggs. Stir in the dry ingredients, then the carrots, nuts and raisins. Bake at 350°F in two 9-inch pans 35-40 minutes.`,
    family: 'oil-layer',
    roles: ['batter', 'frosting'],
    lines: [13, 4],
    tin: '2 round',
    oven: [177, 40],
  },
  {
    region: 'us',
    text: `Banana bread
1/2 cup butter, melted
3/4 cup sugar
2 eggs
4 ripe bananas, mashed (about 2 cups)
1 tsp vanilla
2 cups all purpose flour
1 tsp baking soda
1/2 tsp salt
1/2 cup chopped walnuts
Bake in a 9x5 inch loaf pan at 350F for 60 minutes.`,
    family: 'loaf',
    roles: ['batter'],
    lines: [9],
    tin: '1 loaf',
    oven: [177, 60],
  },
  {
    region: 'us',
    text: `Cream cheese pound cake
1 1/2 cups (3 sticks) butter, softened
8 oz cream cheese, softened
3 cups sugar
6 large eggs
3 cups cake flour
1/2 tsp salt
1 tbsp vanilla
Method
Cream the butter, cream cheese and sugar until fluffy. Beat in the eggs one at a time. Add the flour. Bake in a 10 cup bundt pan at 325F for 80 minutes.`,
    family: 'pound',
    roles: ['batter'],
    lines: [7],
    tin: '1 fluted',
    oven: [163, 80],
  },
  {
    region: 'us',
    text: `Angel food cake
1 cup cake flour
1 1/2 cups superfine sugar
12 egg whites
1 1/2 tsp cream of tartar
1/4 tsp salt
1 tsp vanilla
Method
Whip the egg whites with the cream of tartar to soft peaks, add half the sugar and whip to stiff peaks. Fold in the flour sifted with the rest of the sugar. Bake in a 10 inch tube pan at 350F, 40 minutes.`,
    family: 'foam',
    roles: ['batter'],
    lines: [6],
    tin: '1 ring',
    oven: [177, 40],
  },
  {
    region: 'us',
    text: `Blueberry muffins
2 cups flour
2 tsp baking powder
1/2 tsp salt
3/4 cup sugar
1/3 cup vegetable oil
1 egg
1/2 cup milk
2 cups blueberries
Makes 12
Mix the dry. Mix the wet. Combine, fold in berries. Bake at 400F 20 minutes.`,
    family: 'loaf',
    roles: ['batter'],
    lines: [8],
    tin: '12 cupcake',
    oven: [204, 20],
  },
  {
    region: 'uk',
    text: `Lemon drizzle loaf
175g softened butter
175g caster sugar
3 eggs
zest of 2 lemons
175g self-raising flour
2 tbsp milk

For the drizzle
juice of 2 lemons
85g caster sugar

Method
Cream the butter and sugar. Add the eggs gradually with the zest. Fold in the flour and milk. Bake in a 900g loaf tin at 180C (160C fan) for 45 minutes. Mix lemon and sugar and pour over the warm cake.`,
    family: 'butter-layer',
    roles: ['batter', 'soak'],
    lines: [6, 2],
    tin: '1 loaf',
    oven: [180, 45],
  },
  {
    region: 'uk',
    text: `Coffee and walnut cake
225g butter
225g golden caster sugar
4 eggs
2 tbsp instant coffee dissolved in 1 tbsp boiling water
225g self-raising flour
75g walnuts, chopped

Buttercream
125g butter
200g icing sugar
1 tbsp coffee essence

Method
Heat oven to 180C. Cream butter and sugar till fluffy, beat in eggs and coffee, fold in flour and nuts. Bake in two 20cm tins for 25 minutes.`,
    family: 'butter-layer',
    roles: ['batter', 'frosting'],
    lines: [7, 3],
    tin: '2 round',
    oven: [180, 25],
  },
  {
    region: 'uk',
    text: `Sticky parkin
200g butter
200g golden syrup
85g treacle
85g light brown sugar
100g medium oatmeal
250g self-raising flour
1 tbsp ground ginger
4 tbsp milk
1 egg
Melt the butter, syrup, treacle and sugar. Stir in the oatmeal, flour and ginger, then egg and milk. Bake in a 22cm square tin at 160C for 55 minutes.`,
    family: 'syrup-spice',
    roles: ['batter'],
    lines: [9],
    tin: '1 square',
    oven: [160, 55],
  },
  {
    region: 'uk',
    text: `Date pudding cake
175 g dates, stoned and chopped
175 ml boiling water
1 tsp bicarbonate of soda
75 g butter
150 g dark muscovado sugar
2 eggs
175 g self-raising flour

Toffee sauce
100 g butter
150 g muscovado sugar
150 ml double cream

Method
Soak the dates in the water with the bicarb. Cream the butter and sugar, beat in the eggs, fold in the flour and the dates. Bake at 180C in a 20 cm square tin for 35 min.`,
    family: 'butter-layer',
    roles: ['batter', 'soak'],
    lines: [7, 3],
    tin: '1 square',
    oven: [180, 35],
  },
  {
    region: 'uk',
    text: `Rock buns
225 g self-raising flour
1 tsp baking powder
100 g butter
75 g caster sugar
150 g mixed dried fruit
1 egg
2 tbsp milk
Rub the butter into the flour. Stir in sugar and fruit, then egg and milk to a stiff dough. Bake at 200C 15 minutes.`,
    family: 'pastry',
    roles: ['batter'],
    lines: [7],
    oven: [200, 15],
  },
  {
    region: 'uk',
    text: `Celebration fruit cake
450 g currants
175 g sultanas
175 g raisins
50 g glace cherries
50 g mixed peel
3 tbsp brandy
225 g plain flour
1/2 tsp salt
1/4 tsp nutmeg
1/2 tsp mixed spice
225 g butter
225 g soft brown sugar
4 large eggs
50 g almonds, chopped
1 tbsp black treacle
zest of 1 lemon
Method
Cream butter and sugar, beat in eggs, fold in flour and fruit. Bake at 140C in a 20 cm round tin for 4 hours.`,
    family: 'pound',
    roles: ['batter'],
    lines: [16],
    tin: '1 round',
    oven: [140, 240],
  },
  {
    region: 'us',
    text: `Red velvet cake
2 1/2 cups cake flour
1 1/2 cups sugar
1 tsp baking soda
1 tsp salt
1 tbsp cocoa powder
1 1/2 cups vegetable oil
1 cup buttermilk
2 large eggs
2 tbsp red food coloring
1 tsp vinegar
1 tsp vanilla
Bake at 350F in three 8 inch pans for 28 minutes.`,
    family: 'oil-layer',
    roles: ['batter'],
    lines: [11],
    tin: '3 round',
    oven: [177, 28],
  },
  {
    region: 'us',
    text: `Lemon chiffon cake
2 cups cake flour
1 1/2 cups sugar
3 tsp baking powder
1 tsp salt
1/2 cup vegetable oil
7 egg yolks
3/4 cup cold water
2 tsp lemon zest
8 egg whites
1/2 tsp cream of tartar
Method
Whisk yolks, oil, water into dry. Whip the whites with the cream of tartar to stiff peaks and fold in. Bake in 10 inch tube pan at 325F 70 minutes.`,
    family: 'foam',
    roles: ['batter'],
    lines: [10],
    tin: '1 ring',
    oven: [163, 70],
  },
  {
    region: 'eu',
    text: `Yogurt cake
1 pot (125 g) yogurt
2 pots (220 g) sugar
3 pots (210 g) flour
1 sachet baking powder
3 eggs
1/2 pot (60 ml) oil
Method
Whisk all. Bake in 24 cm round at 180 C 35 minutes.`,
    family: 'oil-layer',
    roles: ['batter'],
    lines: [6],
    oven: [180, 35],
    tin: '1 round',
  },
  {
    region: 'eu',
    text: `Marble cake
250 g soft butter
250 g sugar
5 eggs
500 g plain flour
1 packet baking powder
125 ml milk
3 tbsp cocoa
Method
Cream the butter with the sugar, add the eggs. Add flour, powder and milk. Bake in a ring tin at 175 C for 60 minutes.`,
    family: 'butter-layer',
    roles: ['batter'],
    lines: [7],
    oven: [175, 60],
    tin: '1 ring',
  },
  {
    region: 'eu',
    text: `Sunken apple cake
125 g butter
125 g sugar
3 eggs
200 g flour
2 tsp baking powder
2 tbsp milk
750 g apples
Cream butter and sugar, add eggs, then flour with powder and milk. Spread in a 26 cm springform, press in apples. Bake at 180 C 40 minutes.`,
    family: 'butter-layer',
    roles: ['batter'],
    lines: [7],
    tin: '1 round',
    oven: [180, 40],
  },
  {
    region: 'in',
    text: `Eggless rava cake
1 cup sooji
1/2 cup maida
1 cup curd
3/4 cup sugar
1/2 cup milk
1/2 cup oil
1 tsp baking powder
1/2 tsp baking soda
Bake at 180C in 8 inch round tin 40 minutes.`,
    family: 'eggless-raised',
    roles: ['batter'],
    lines: [8],
    tin: '1 round',
    oven: [180, 40],
  },
  {
    region: 'in',
    text: `Eggless vanilla sponge
1 1/2 cups maida
1 tin (400 g) condensed milk
1/2 cup melted butter
1 tsp baking powder
1/2 tsp baking soda
1 tsp vanilla
3/4 cup milk
1 tbsp vinegar
Bake at 180C 8 inch tin 35 min.`,
    family: 'eggless-raised',
    roles: ['batter'],
    lines: [8],
    tin: '1 round',
    oven: [180, 35],
  },
  {
    region: 'au',
    text: `Lamington sponge
125 g butter, softened
1 cup caster sugar
1 tsp vanilla
3 eggs
1 3/4 cups self-raising flour
1/2 cup milk
Method
Beat butter, sugar and vanilla until pale and creamy. Add eggs one at a time. Fold in flour and milk. Bake in 20 x 30cm lamington pan at 180C 30 minutes.`,
    family: 'butter-layer',
    roles: ['batter'],
    lines: [6],
    tin: '1 rect',
    oven: [180, 30],
  },
  {
    region: 'us',
    text: `Crazy cocoa cake
1 1/2 cups flour
1 cup sugar
1/4 cup cocoa
1 tsp baking soda
1/2 tsp salt
1 tbsp vinegar
1 tsp vanilla
5 tbsp vegetable oil
1 cup water
Bake in 8 inch square pan at 350F 30 minutes.`,
    family: 'eggless-raised',
    roles: ['batter'],
    lines: [9],
    tin: '1 square',
    oven: [177, 30],
  },
  {
    region: 'uk',
    text: `Swiss roll
3 large eggs
85g caster sugar
85g plain flour
Whisk the eggs and sugar until thick and mousse-like. Fold in the flour. Spread in a 23 x 33 cm tin. Bake 200C for 10 minutes.`,
    family: 'foam',
    roles: ['batter'],
    lines: [3],
    tin: '1 rect',
    oven: [200, 10],
  },
  {
    region: 'uk',
    text: `Orange and almond cake
2 oranges, boiled and pureed (about 375 g)
6 eggs
225 g caster sugar
250 g ground almonds
1 tsp baking powder
Whisk eggs and sugar, stir in rest. 21 cm springform, 190C for 60 minutes.`,
    family: 'flourless-nut',
    roles: ['batter'],
    lines: [5],
    tin: '1 round',
    oven: [190, 60],
  },
  {
    region: 'uk',
    text: `Lemon polenta cake
200 g butter
200 g caster sugar
200 g ground almonds
100 g polenta
1 1/2 tsp baking powder
3 eggs
zest of 2 lemons
Cream the butter and sugar. Beat in the dry and eggs alternately. 23 cm springform 180C 40 minutes.`,
    family: 'flourless-nut',
    roles: ['batter'],
    lines: [7],
    tin: '1 round',
    oven: [180, 40],
  },
  {
    region: 'us',
    text: `Cheesecake
Crust
1 1/2 cups graham cracker crumbs
5 tbsp melted butter
2 tbsp sugar

Filling
2 lb cream cheese
1 1/4 cups sugar
4 eggs
1 cup sour cream
1 tbsp vanilla
2 tbsp flour
Bake at 325F in a 9 inch springform 70 minutes.`,
    family: 'cheesecake',
    roles: ['crust', 'batter'],
    lines: [3, 6],
    tin: '1 round',
    oven: [163, 70],
  },
  {
    region: 'us',
    text: `Gingerbread
2 1/2 cups flour
1 1/2 tsp baking soda
1 tsp cinnamon
2 tsp ginger
1/2 tsp salt
1/2 cup butter, softened
1/2 cup brown sugar
1 egg
1 cup molasses
1 cup hot water
Cream butter and sugar. Beat in egg and molasses. Add dry then water. 9x9 pan 350F 40 minutes.`,
    family: 'syrup-spice',
    roles: ['batter'],
    lines: [10],
    oven: [177, 40],
    tin: '1 square',
  },
  {
    region: 'us',
    text: `Vegan vanilla cupcakes
1 3/4 cups all-purpose flour
1 cup sugar
1 tsp baking soda
1/2 tsp salt
1 cup soy milk
1 tsp vanilla
1/3 cup oil
1 tbsp apple cider vinegar
Makes 12 cupcakes. 350F 20 minutes.`,
    family: 'eggless-raised',
    roles: ['batter'],
    lines: [8],
    tin: '12 cupcake',
    oven: [177, 20],
  },
  {
    region: 'us',
    text: `Hot milk cake
4 eggs
2 cups sugar
2 1/4 cups all-purpose flour
2 1/4 tsp baking powder
1 tsp vanilla
1 1/4 cups milk
10 tbsp butter
Beat the eggs until thick, add sugar and beat until light and fluffy. Add flour and powder. Heat milk and butter and add. 9x13 pan 350F 30 minutes.`,
    family: 'high-ratio',
    roles: ['batter'],
    lines: [7],
    tin: '1 rect',
    oven: [177, 30],
  },
  {
    region: 'us',
    text: `Zucchini bread
3 cups all-purpose flour
1 tsp salt
1 tsp baking soda
1 tsp baking powder
3 tsp cinnamon
3 eggs
1 cup vegetable oil
2 1/4 cups sugar
3 tsp vanilla
2 cups grated zucchini
1 cup chopped walnuts
Two 8x4 loaf pans, 325F 60 minutes.`,
    family: 'oil-layer',
    roles: ['batter'],
    lines: [11],
    tin: '2 loaf',
    oven: [163, 60],
  },
  {
    region: 'us',
    text: `Pumpkin bread
1 can (15 oz) pumpkin puree
4 eggs
1 cup vegetable oil
2/3 cup water
3 cups sugar
3 1/2 cups all-purpose flour
2 tsp baking soda
1 1/2 tsp salt
1 tsp cinnamon
Three 7x3 loaf pans, 350F 50 minutes.`,
    family: 'oil-layer',
    roles: ['batter'],
    lines: [9],
    tin: '3 loaf',
    oven: [177, 50],
  },
  {
    region: 'us',
    text: `HARBOUR BIRTHDAY CAKE

DRY INGREDIENTS
• 3 cups (360 g) all-purpose flour
• 1 tablespoon baking powder
• ½ teaspoon fine sea salt

WET INGREDIENTS
• 1 cup (240 ml) whole milk, room temp
• 1 cup (226 g) unsalted butter, softened
• 2 cups (400 g) sugar
• 4 large eggs
• 1 Tbsp vanilla

FROSTING
• 1 cup butter
• 4 cups confectioners' sugar
• 2-3 Tbsp heavy cream
• pinch salt

INSTRUCTIONS
1. Preheat the oven to 350°F (177°C). Grease and flour three 8-inch cake pans.
2. In the bowl of a stand mixer, cream the butter and sugar until light and fluffy, 3-4 minutes.
3. Add the eggs one at a time, beating well.
4. Alternate adding dry and wet, starting and ending with dry.
5. Divide and bake 25-30 minutes.
6. For the frosting, beat the butter, add the sugar and cream.`,
    family: 'butter-layer',
    roles: ['batter', 'frosting'],
    lines: [8, 4],
    tin: '3 round',
    oven: [177, 30],
  },
  {
    region: 'uk',
    text: `Poppy cake
Plain flour - 200g
Caster sugar - 150g
Butter (soft) - 150g
Eggs - 3
Baking powder - 1½ tsp
Milk - 50ml
Poppy seeds - 2 tbsp
Method
Cream butter and sugar; add eggs, then flour. Bake 170C fan 35 min in an 18cm round tin.`,
    family: 'butter-layer',
    roles: ['batter'],
    lines: [7],
    tin: '1 round',
    oven: [170, 35],
  },
  {
    region: 'eu',
    text: `Walnut torte
6 eggs
180 g sugar
200 g ground walnuts
40 g breadcrumbs
0,5 tsp baking powder
1 tbsp rum
Separate the eggs. Whisk yolks with sugar until pale. Whip the whites stiff and fold in with nuts and crumbs. Bake at 175°C for 40 minutes in a 24 cm springform.`,
    family: 'flourless-nut',
    roles: ['batter'],
    lines: [6],
    tin: '1 round',
    oven: [175, 40],
  },
  {
    region: 'us',
    text: `Gluten-free vegan banana muffins
Dry:
1 1/2 cups oat flour
1/2 cup almond flour
1 tsp baking soda
1/2 tsp baking powder
1/4 tsp salt
Wet:
3 ripe bananas
1/3 cup maple syrup
1/4 cup melted coconut oil
1 tbsp apple cider vinegar
2 tbsp ground flax + 5 tbsp water
Makes 12 muffins
Directions:
Mix wet. Mix dry. Combine. Bake 22 minutes at 350F.`,
    family: 'eggless-raised',
    roles: ['batter'],
    lines: [11],
    tin: '12 cupcake',
    oven: [177, 22],
  },
  {
    region: 'uk',
    text: `Gluten-free lemon sponge
200g gluten-free self-raising flour
1/4 tsp xanthan gum
200g caster sugar
200g soft margarine
4 medium eggs
Zest and juice of 1 lemon
Put all the ingredients in a bowl and beat for 2 minutes. Bake in two 18cm tins at 180°C for 25 minutes.`,
    family: 'butter-layer',
    roles: ['batter'],
    lines: [7],
    tin: '2 round',
    oven: [180, 25],
  },
  {
    region: 'us',
    text: `Vanilla American buttercream
1 cup (2 sticks) unsalted butter, softened
4 cups powdered sugar, sifted
2 tsp vanilla extract
2 tbsp heavy cream
1/8 tsp salt
Beat the butter until pale. Add sugar, then cream.`,
    family: 'butter-icing',
    roles: ['frosting'],
    lines: [5],
  },
  {
    region: 'us',
    text: `Swiss meringue buttercream
5 large egg whites
1 1/4 cups granulated sugar
2 cups (4 sticks) unsalted butter
2 tsp vanilla
pinch of salt
Whisk the whites and sugar over simmering water to 160F. Whip to stiff peaks until cool. Add the butter a piece at a time.`,
    family: 'foam-butter-icing',
    roles: ['frosting'],
    lines: [5],
  },
  {
    region: 'us',
    text: `Cooked flour frosting
5 tbsp flour
1 cup milk
1 cup butter
1 cup sugar
1 tsp vanilla
Cook flour and milk until thick. Cool. Cream butter and sugar. Beat in.`,
    family: 'cooked-butter-icing',
    roles: ['frosting'],
    lines: [5],
  },
  {
    region: 'uk',
    text: `Dark chocolate ganache
300 g dark chocolate
300 ml double cream
Heat cream, pour over chocolate, stir.`,
    family: 'ganache',
    roles: ['frosting'],
    lines: [2],
  },
  {
    region: 'uk',
    text: `Royal icing
2 egg whites
450 g icing sugar
2 tsp lemon juice
Whisk.`,
    family: 'glaze',
    roles: ['frosting'],
    lines: [3],
  },
  {
    region: 'us',
    text: `Cream cheese frosting
8 oz cream cheese
1/2 cup butter
4 cups powdered sugar
1 tsp vanilla
Beat.`,
    family: 'cream-cheese-icing',
    roles: ['frosting'],
    lines: [4],
  },
  {
    region: 'us',
    text: `Pastry cream
2 cups whole milk
1/2 cup sugar
5 egg yolks
3 tbsp cornstarch
2 tbsp butter
1 tsp vanilla
Heat the milk. Whisk the yolks, sugar and starch. Temper, cook until thick. Stir in butter.`,
    family: 'pastry-cream',
    roles: ['filling'],
    lines: [6],
  },
  {
    region: 'us',
    text: `Crepe cake
6 tbsp butter
3 cups milk
6 eggs
1 1/2 cups flour
7 tbsp sugar
pinch salt
Brown the butter. Warm the milk. Beat eggs, flour, sugar. Rest overnight. Cook in a 9-inch crepe pan.`,
    family: 'crepe',
    roles: ['batter'],
    lines: [6],
    tin: '1 crepe',
  },
  {
    region: 'us',
    text: `Tres leches cake
1 cup all-purpose flour
1 1/2 tsp baking powder
1/4 tsp salt
5 large eggs, separated
1 cup sugar, divided
1/3 cup milk
1 tsp vanilla

Milk soak
1 can (12 oz) evaporated milk
1 can (14 oz) sweetened condensed milk
1/4 cup heavy cream

Topping
2 cups heavy cream
3 tbsp sugar

Method
Beat yolks with 3/4 cup sugar until pale. Whip the whites with the rest to stiff peaks. Fold all with flour. Bake in 9x13 pan at 350F for 25 minutes.`,
    family: 'foam',
    roles: ['batter', 'soak', 'topping'],
    lines: [7, 3, 2],
    tin: '1 rect',
    oven: [177, 25],
  },
  {
    region: 'us',
    text: `Pineapple upside-down cake
Topping
1/4 cup butter
2/3 cup brown sugar
9 slices pineapple
9 maraschino cherries
Cake
1 1/3 cups flour
1 cup sugar
1/3 cup butter
1 1/2 tsp baking powder
1/2 tsp salt
3/4 cup milk
1 egg
Melt butter in 9-inch square pan. Beat the rest. Bake at 350F 45 minutes.`,
    family: 'oil-layer',
    roles: ['topping', 'batter'],
    lines: [4, 7],
    tin: '1 square',
    oven: [177, 45],
  },
  {
    region: 'us',
    text: `Mug cake
4 tbsp flour
2 tbsp sugar
2 tbsp cocoa
1/4 tsp baking powder
3 tbsp milk
2 tbsp oil
Microwave 90 seconds.`,
    family: 'eggless-raised',
    roles: ['batter'],
    lines: [6],
    tin: '1 bowl',
  },
  {
    region: 'in',
    text: `Mawa cake
1 1/2 cups maida
1 1/2 tsp baking powder
100 g butter
1 cup crumbled mawa (khoya)
1 cup sugar
2 eggs
1/2 cup milk
1 tsp cardamom powder
Cream butter and sugar with mawa. Add eggs. Fold in flour and milk. Bake at 180C for 40 min in an 8 inch tin.`,
    family: 'butter-layer',
    roles: ['batter'],
    lines: [8],
    tin: '1 round',
    oven: [180, 40],
  },
  {
    region: 'us',
    text: `Cotton cheesecake
250 g cream cheese
50 g butter
100 ml milk
6 eggs, separated
140 g sugar
60 g cake flour
20 g cornstarch
1 tbsp lemon juice
1/4 tsp cream of tartar
Method
Melt cheese, butter and milk. Stir in yolks, flours. Whip the whites with sugar and cream of tartar to soft peaks, fold. Bake in a water bath at 320F 70 minutes in an 8 inch springform.`,
    family: 'cheesecake',
    roles: ['batter'],
    lines: [9],
    tin: '1 round',
    oven: [160, 70],
  },
  {
    region: 'eu',
    text: `Basque cheesecake
600 g cream cheese
200 g sugar
4 eggs
300 ml double cream
1 tbsp flour
Bake at 210°C 35 minutes in a 20 cm springform.`,
    family: 'cheesecake',
    roles: ['batter'],
    lines: [5],
    tin: '1 round',
    oven: [210, 35],
  },
  {
    region: 'uk',
    text: `Light sponge
6oz self raising flour
6oz caster sugar
6oz margarine
3 eggs
Cream the marg and sugar. Beat in eggs. Fold in flour. Bake in two 7 inch tins at 350°F/180°C/gas 4 for 20-25 mins.`,
    family: 'butter-layer',
    roles: ['batter'],
    lines: [4],
    tin: '2 round',
    oven: [177, 25],
  },
  {
    region: 'us',
    text: `Low-fat applesauce snack cake
1 1/2 cups whole wheat pastry flour
1 tsp baking soda
1 tsp cinnamon
1/4 tsp salt
1 cup unsweetened applesauce
2/3 cup sugar
1/4 cup oil
1 egg
8x8 pan at 350F for 30 minutes.`,
    family: 'loaf',
    roles: ['batter'],
    lines: [8],
    tin: '1 square',
    oven: [177, 30],
  },
  {
    region: 'us',
    text: `Date-sweetened chocolate cake
1 cup pitted dates, soaked in 1 cup boiling water
1/2 cup oil
2 eggs
1 cup flour
1/2 cup cocoa
1 tsp baking soda
1/2 tsp salt
Blend the dates with the water. Mix all. Bake 350F 30 min in an 8 inch round pan.`,
    family: 'oil-layer',
    roles: ['batter'],
    lines: [8],
    tin: '1 round',
    oven: [177, 30],
  },
  {
    region: 'us',
    text: `Almond flour cake with erythritol
2 1/2 cups almond flour
1/2 cup erythritol
2 tsp baking powder
4 eggs
1/2 cup melted butter
1/4 cup almond milk
1 tsp vanilla
Bake 350F 30 minutes in a 9 inch round.`,
    family: 'flourless-nut',
    roles: ['batter'],
    lines: [7],
    oven: [177, 30],
    tin: '1 round',
  },
  {
    region: 'us',
    text: `Southern pound cake
1 cup butter
3 cups sugar
6 eggs
3 cups all-purpose flour
1/4 tsp baking soda
1 cup sour cream
1 tsp vanilla
Cream butter and sugar. Add eggs one at a time. Add flour and sour cream alternately. Bake in 10 inch tube pan 325F 80 minutes.`,
    family: 'pound',
    roles: ['batter'],
    lines: [7],
    tin: '1 ring',
    oven: [163, 80],
  },
  {
    region: 'us',
    text: `Oatmeal cake
1 cup quick oats
1 1/4 cups boiling water
1/2 cup butter
1 cup brown sugar
1 cup white sugar
2 eggs
1 1/3 cups flour
1 tsp baking soda
1 tsp cinnamon
1/2 tsp salt
Soak the oats in the boiling water. Cream butter and sugars, add eggs, oats, then flour. 9x13 350F 35 minutes.`,
    family: 'high-ratio',
    roles: ['batter'],
    lines: [10],
    oven: [177, 35],
    tin: '1 rect',
  },
  {
    region: 'us',
    text: `Sheet cake
2 cups flour
2 cups sugar
1/2 tsp salt
1 tsp baking soda
1/2 cup sour cream
2 eggs
1 cup butter
1 cup water
5 tbsp cocoa
Boil the butter, water and cocoa, pour over the dry, whisk in the eggs and sour cream. Bake in a 13x18 inch sheet pan at 350F for 20 minutes.`,
    family: 'oil-layer',
    roles: ['batter'],
    lines: [9],
    tin: '1 sheet',
    oven: [177, 20],
  },
]

const parsed = (p: Pasted) => answer('parse', { text: p.text, region: p.region })
const title = (p: Pasted) => p.text.split('\n')[0]!

describe('recipes as they are pasted', () => {
  it.each(PASTED.map((p) => [title(p), p] as const))('%s: its parts, lines, tin and oven', (_, p) => {
    const { recipe } = parsed(p)
    expect(recipe.parts.map((x) => x.role)).toEqual(p.roles)
    expect(recipe.parts.map((x) => x.lines.length)).toEqual(p.lines)
    const [tin] = recipe.tins
    expect(tin && `${tin.count} ${tin.shape}`).toBe(p.tin)
    const [oven] = recipe.oven
    expect(oven && [oven.celsius, oven.minutes?.[1]]).toEqual(p.oven)
  })

  it.each(PASTED.map((p) => [title(p), p] as const))('%s: known for what it is, and no failed cake', (_, p) => {
    const { family, findings } = answer('balance', { text: p.text, region: p.region })
    expect(family).toBe(p.family)
    expect(findings.filter((f) => f.severity === 'fault').map((f) => f.code)).toEqual([])
  })

  it('no word of a method becomes an ingredient, and no ingredient a word of a method', () => {
    for (const p of PASTED) {
      const { recipe } = parsed(p)
      const lines = recipe.parts.flatMap((x) => x.lines.map((l) => l.text))
      for (const line of lines) expect(recipe.method.join('\n'), line).not.toContain(line)
      for (const line of lines) expect(line).not.toMatch(/^(bake|beat|whisk|cream|mix|fold|melt|preheat)\b/i)
    }
  })
})

describe('headings that are also things to buy', () => {
  const roles = (text: string) => answer('parse', { text, region: 'uk' }).recipe.parts.map((p) => [p.name, p.role])
  const CAKE = 'Pier cake\n200 g self-raising flour\n200 g butter\n200 g sugar\n4 eggs\n'

  it.each([
    ['Buttercream', 'frosting'],
    ['For the buttercream', 'frosting'],
    ['For the caramel', 'filling'],
    ['Toffee sauce', 'soak'],
    ['For the top', 'topping'],
  ])('“%s” over lines is what is made of them', (heading, role) => {
    expect(roles(`${CAKE}${heading}\n100 g butter\n200 g icing sugar`)[1]![1]).toBe(role)
  })

  it.each(['Jam', 'Lemon curd', 'Salted caramel'])('“%s” is a heading at the head of a paragraph, and else a jar', (name) => {
    expect(roles(`${CAKE}\n${name}\n100 g butter\n100 g sugar`)).toHaveLength(2)
    expect(roles(`${CAKE}${name}\n100 g butter\n100 g sugar`)).toHaveLength(1)
  })

  it('a meringue is baked where nothing else is, and stands on a tart', () => {
    expect(roles('Pavlova\n\nMeringue\n4 egg whites\n220 g sugar\n\nTopping\n300 ml cream')).toEqual([
      ['Meringue', 'batter'],
      ['Topping', 'topping'],
    ])
    expect(
      roles('Tart\n\nPastry\n150 g flour\n75 g butter\n\nFilling\n3 egg yolks\n100 g sugar\n\nMeringue\n3 egg whites\n150 g sugar')[2],
    ).toEqual(['Meringue', 'topping'])
  })
})

describe('the pot of a yogurt cake', () => {
  const grams = (line: string) => answer('line', { text: line, region: 'eu' }).lines[0]!.grams.best

  it('measures what comes in none', () => {
    expect(grams('2 pots (220 g) sugar')).toBeCloseTo(220, 0)
    expect(grams('2 pots sugar')).toBeCloseTo(grams('250 ml sugar'), 0)
    expect(grams('1/2 pot oil')).toBeCloseTo(grams('62.5 ml oil'), 0)
    expect(grams('2 pots (125 g) yogurt')).toBeCloseTo(250, 0)
  })
})
