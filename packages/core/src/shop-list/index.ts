export { type ShopList, shopList } from './shop-list';
