export { default } from 'element-plus/es/locale/lang/es';
